"use client";
import type { PinLine } from "@/contract/library";
import {
  Funnel,
  Keyboard,
  LayoutDashboard,
  LogOut,
  Mail,
  Moon,
  PanelLeftOpen,
  Pin,
  ScrollText,
  Search,
  SlidersHorizontal,
  Sun,
  Waves,
} from "lucide-react";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { useEffect, useState, type ReactNode } from "react";
import { Button, MenuTrigger } from "react-aria-components";
import styled from "styled-components";

import { Menu, MenuItem, Popover, tell } from "../kit";
import { Keys } from "./Keys";
import { Mark } from "./Mark";
import { QuickBox } from "./QuickBox";

interface ShellProps {
  readonly viewer: { readonly name: string; readonly login: string; readonly role: string };
  readonly workspace: string;
  readonly pins: readonly PinLine[];
  readonly children: ReactNode;
}

const Frame = styled.div<{ $wide: boolean }>`
  display: grid;
  grid-template-columns: ${(p) => (p.$wide ? 204 : 76)}px minmax(0, 1fr);
  min-height: 100vh;
  @media (max-width: 700px) {
    grid-template-columns: minmax(0, 1fr);
    padding-bottom: 64px;
  }
`;
const Spine = styled.nav<{ $wide: boolean }>`
  background: var(--spine);
  color: var(--on-spine);
  display: flex;
  flex-direction: column;
  padding: 14px 0 10px;
  position: sticky;
  top: 0;
  height: 100vh;
  z-index: 20;
  overflow-y: auto;
  overflow-x: hidden;
  .mark {
    display: flex;
    align-items: center;
    justify-content: ${(p) => (p.$wide ? "flex-start" : "center")};
    gap: 11px;
    padding-left: ${(p) => (p.$wide ? 18 : 0)}px;
    height: 44px;
    margin-bottom: 10px;
    font: 560 22px/1 var(--serif);
    color: var(--on-spine);
    flex: none;
  }
  .quick {
    margin: 0 10px 12px;
    height: 36px;
    background: var(--spine-2);
    display: flex;
    align-items: center;
    justify-content: ${(p) => (p.$wide ? "flex-start" : "center")};
    gap: 8px;
    padding: 0 ${(p) => (p.$wide ? 10 : 0)}px;
    border-radius: 3px;
    color: var(--on-spine);
    flex: none;
  }
  .quick kbd {
    margin-left: auto;
    font: 500 11.5px/16px var(--sans);
    border-bottom: 1.5px solid currentColor;
  }
  .room {
    display: flex;
    flex-direction: ${(p) => (p.$wide ? "row" : "column")};
    align-items: center;
    gap: ${(p) => (p.$wide ? 11 : 3)}px;
    color: var(--on-spine-2);
    font-size: ${(p) => (p.$wide ? 13.5 : 11)}px;
    line-height: ${(p) => (p.$wide ? 20 : 14)}px;
    padding: ${(p) => (p.$wide ? "6px 12px" : "8px 0 7px")};
    margin-left: ${(p) => (p.$wide ? 8 : 6)}px;
    border-radius: 3px 0 0 3px;
    text-decoration: none;
    flex: none;
    width: auto;
  }
  .room:hover {
    color: var(--on-spine);
  }
  .room[aria-current="page"] {
    background: var(--paper);
    color: var(--plum);
    font-weight: 650;
  }
  .room svg {
    width: 19px;
    height: 19px;
  }
  .spread {
    flex: 1;
    min-height: 12px;
    display: flex;
    align-items: center;
    justify-content: center;
  }
  .title {
    writing-mode: vertical-rl;
    transform: rotate(180deg);
    font: 560 19px/1 var(--serif);
    color: var(--on-spine);
  }
  .head {
    font-size: 12px;
    color: var(--on-spine-2);
    padding: 14px 20px 4px;
  }
  .pins {
    overflow-y: auto;
    min-height: 0;
  }
  .pin {
    display: block;
    padding: 4px 12px 4px 20px;
    color: var(--on-spine-2);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .me {
    width: 34px;
    height: 34px;
    margin: 6px auto 0;
    background: var(--on-spine-2);
    color: var(--spine);
    font-weight: 700;
    font-size: 12px;
    display: grid;
    place-items: center;
    border-radius: 3px;
    flex: none;
  }
  :focus-visible,
  [data-focus-visible] {
    outline-color: #e3b04b;
    box-shadow: none;
    outline-offset: -3px;
  }
  @media (max-width: 700px) {
    position: fixed;
    inset: auto 0 0 0;
    height: 64px;
    flex-direction: row;
    padding: 0;
    align-items: center;
    justify-content: space-around;
    overflow: hidden;
    .mark,
    .spread,
    .pins,
    .head,
    .widen {
      display: none;
    }
    .quick {
      margin: 0;
      width: 44px;
      height: 44px;
      justify-content: center;
    }
    .quick span,
    .quick kbd {
      display: none;
    }
    .room {
      margin: 0;
      padding: 6px 8px;
      border-radius: 3px;
      min-width: 56px;
      flex-direction: column;
      font-size: 11px;
      line-height: 14px;
      gap: 3px;
    }
    .me {
      margin: 0;
      width: 44px;
      height: 44px;
    }
  }
`;
const Skip = styled.a`
  position: fixed;
  left: 8px;
  top: -60px;
  z-index: 99;
  background: var(--plum);
  color: var(--on-plum);
  padding: 8px 14px;
  &:focus {
    top: 8px;
  }
`;

/** A pinned filter opens as the list of what it holds. */
const pinHref = (pin: PinLine): string =>
  pin.kind === "filter" ? `/reports/new?held=${pin.id}` : `/${pin.kind}s/${pin.id}`;

export function Shell({ viewer, workspace, pins, children }: ShellProps) {
  const path = usePathname();
  const [isOpen, setOpen] = useState(false);
  const [showsKeys, setShowsKeys] = useState(false);
  const [wide, setWide] = useState(false);
  useEffect(() => setWide(localStorage.getItem("gt_spine") === "wide"), []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest(
        "input, textarea, select, [contenteditable]",
      );
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "k") {
        event.preventDefault();
        setOpen(true);
      } else if (event.key === "?" && !typing) setShowsKeys(true);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  const room = (href: string, words: string, icon: ReactNode) => (
    <Link className="room" href={href} aria-current={path.startsWith(href) ? "page" : undefined}>
      {icon}
      <span>{words}</span>
    </Link>
  );
  const widen = () => {
    localStorage.setItem("gt_spine", wide ? "narrow" : "wide");
    setWide(!wide);
  };
  return (
    <Frame $wide={wide}>
      <Skip href="#room">To the page</Skip>
      <Spine $wide={wide} aria-label="Grand Tally">
        <div className="mark">
          <Mark />
          {wide && "Grand Tally"}
        </div>
        <Button className="quick" aria-label="Say or find (Ctrl K)" onPress={() => setOpen(true)}>
          <Search size={16} aria-hidden />
          {wide && (
            <>
              <span>Say or find</span>
              <kbd>Ctrl K</kbd>
            </>
          )}
        </Button>
        {room("/dashboards", "Dashboards", <LayoutDashboard aria-hidden />)}
        {room("/reports", "Reports", <ScrollText aria-hidden />)}
        {room("/sprints", "Sprints", <Waves aria-hidden />)}
        {room("/mailings", "Mailings", <Mail aria-hidden />)}
        {wide && pins.length > 0 && <div className="head">Your pins</div>}
        {wide && (
          <div className="pins">
            {pins.map((pin) => (
              <Link key={pin.kind + pin.id} className="pin" href={pinHref(pin)}>
                {pin.name}
              </Link>
            ))}
          </div>
        )}
        <div className="spread">{!wide && <span className="title">Grand Tally</span>}</div>
        {!wide && pins.length > 0 && (
          <MenuTrigger>
            <Button
              className="room"
              aria-label={pins.length === 1 ? "1 pin" : `${pins.length} pins`}
            >
              <Pin aria-hidden />
              <span>{pins.length === 1 ? "1 pin" : `${pins.length} pins`}</span>
            </Button>
            <Popover placement="right bottom">
              <Menu aria-label="Your pins">
                {pins.map((pin) => (
                  <MenuItem key={pin.kind + pin.id} href={pinHref(pin)} textValue={pin.name}>
                    {pin.kind === "dashboard" ? (
                      <LayoutDashboard aria-hidden />
                    ) : pin.kind === "filter" ? (
                      <Funnel aria-hidden />
                    ) : (
                      <ScrollText aria-hidden />
                    )}
                    {pin.name}
                  </MenuItem>
                ))}
              </Menu>
            </Popover>
          </MenuTrigger>
        )}
        {viewer.role === "administrator" &&
          room("/settings", "Settings", <SlidersHorizontal aria-hidden />)}
        <Viewer
          viewer={viewer}
          workspace={workspace}
          wide={wide}
          onWiden={widen}
          onKeys={() => setShowsKeys(true)}
        />
      </Spine>
      <div id="room" tabIndex={-1} style={{ minWidth: 0, outline: "none", boxShadow: "none" }}>
        {children}
      </div>
      <QuickBox isOpen={isOpen} onOpenChange={setOpen} />
      <Keys isOpen={showsKeys} onOpenChange={setShowsKeys} />
    </Frame>
  );
}

function Viewer({
  viewer,
  workspace,
  wide,
  onWiden,
  onKeys,
}: {
  viewer: ShellProps["viewer"];
  workspace: string;
  wide: boolean;
  onWiden: () => void;
  onKeys: () => void;
}) {
  const [isNight, setNight] = useState(false);
  useEffect(() => setNight(document.documentElement.dataset.theme === "night"), []);
  const turn = () => {
    const theme = isNight ? "day" : "night";
    document.documentElement.dataset.theme = theme;
    document.cookie = `gt_theme=${theme}; path=/; max-age=31536000; samesite=lax`;
    setNight(!isNight);
  };
  const leave = async () => {
    const reply = await fetch("/api/session", { method: "DELETE" }).catch(() => null);
    if (reply?.ok) location.assign("/sign-in");
    else tell("You could not be signed out; the server cannot be reached.");
  };
  const initials = viewer.name
    .split(/\s+/)
    .map((word) => word[0])
    .slice(0, 2)
    .join("")
    .toUpperCase();
  return (
    <MenuTrigger>
      <Button className="me" aria-label={`${viewer.name}, ${viewer.role} in ${workspace}`}>
        {initials}
      </Button>
      <Popover placement="right bottom">
        <div style={{ padding: "10px 14px 4px" }}>
          <b style={{ fontWeight: 650 }}>{viewer.name}</b>
          <br />
          <span style={{ color: "var(--ink-3)" }}>
            {viewer.role} in {workspace}
          </span>
        </div>
        <Menu aria-label="You">
          <MenuItem onAction={turn} textValue="Theme">
            {isNight ? <Sun aria-hidden /> : <Moon aria-hidden />}
            {isNight ? "Day" : "Night watch"}
          </MenuItem>
          <MenuItem onAction={onWiden} textValue="Spine">
            <PanelLeftOpen aria-hidden />
            {wide ? "Narrow the spine" : "Widen the spine"}
          </MenuItem>
          <MenuItem onAction={onKeys} textValue="Keys">
            <Keyboard aria-hidden />
            Keys and help
          </MenuItem>
          <MenuItem onAction={() => void leave()} textValue="Sign out">
            <LogOut aria-hidden />
            Sign out
          </MenuItem>
        </Menu>
      </Popover>
    </MenuTrigger>
  );
}
