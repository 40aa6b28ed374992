"use client";
import {
  Clock,
  LayoutDashboard,
  Mail,
  ScrollText,
  Search,
  ShipWheel,
  SlidersHorizontal,
  Ticket,
  Waves,
} from "lucide-react";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { useEffect, useState, type ReactNode } from "react";
import { Button } from "react-aria-components";
import type { Sight } from "@/core/figure";
import type { PinLine } from "@/contract/library";
import {
  later,
  SightContext,
  useAskAgain,
  useFetchAhead,
  useShortcuts,
  Zone,
  type Shortcut,
} from "../kit";
import { Mark } from "./Mark";
import { Beside, Skip, Spine } from "./Spine";
import { keepTyped, takeTyped } from "./typedAhead";
import { You, type ViewerWords } from "./You";

const AskBox = later(() => import("../ask"), "AskBox");
const Keys = later(() => import("./Keys"), "Keys");
// Whoever has no pins needs nothing of them.
const PinList = later(() => import("./Pins"), "PinList");
const PinMenu = later(() => import("./Pins"), "PinMenu");

interface ShellProps {
  readonly viewer: ViewerWords;
  readonly workspace: string;
  /** The zone of the workspace, as in the zone database. */
  readonly zone: string;
  /** What the viewer does not see all of. */
  readonly sight: Sight | null;
  readonly pins: readonly PinLine[];
  readonly children: ReactNode;
}

type Called = "quick box" | "keys";

const everywhere = (call: (what: Called) => void): Shortcut[] => [
  {
    keys: "ctrl+k",
    says: "say a sentence, or find an item, report or dashboard",
    run: () => call("quick box"),
    whileTyping: true,
  },
  { keys: "?", says: "these keys", run: () => call("keys") },
  { keys: "tab", says: "goes through all that can be done, in the order it is seen" },
  { keys: "escape", says: "closes what is open" },
];

/** The spine with the rooms, and what can be called up from every room. */
export function Shell({ viewer, workspace, zone, sight, pins, children }: ShellProps) {
  useFetchAhead(AskBox);
  const path = usePathname();
  const [called, setCalled] = useState<Called | null>(null);
  const call = (what: Called) => {
    if (what === "quick box" && called !== what) keepTyped();
    setCalled(what);
  };
  const [wide, setWide] = useState(false);
  useEffect(() => setWide(localStorage.getItem("gt_spine") === "wide"), []);
  useShortcuts(everywhere(call), "everywhere");
  useAskAgain(() => call("quick box"));
  const room = (href: string, words: string, icon: ReactNode, beside = href) => (
    <Link
      className="room"
      href={href}
      aria-current={path.startsWith(href) || path.startsWith(beside) ? "page" : undefined}
    >
      {icon}
      <span>{words}</span>
    </Link>
  );
  const widen = () => {
    localStorage.setItem("gt_spine", wide ? "narrow" : "wide");
    setWide(!wide);
  };
  const close = () => setCalled(null);
  return (
    <Zone.Provider value={zone}>
      <Beside $wide={wide}>
        <Skip href="#room">To the page</Skip>
        <Spine $wide={wide} aria-label="Grand Tally">
          <div className="mark">
            <Mark />
            {wide && "Grand Tally"}
          </div>
          <Button
            className="quick"
            aria-label="Say or find (Ctrl K)"
            onPress={() => call("quick box")}
            onHoverStart={() => void AskBox.fetch()}
          >
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
          {room("/items", "Items", <Ticket aria-hidden />)}
          {room("/sprints", "Sprints", <Waves aria-hidden />, "/releases")}
          {room("/projects", "Projects", <ShipWheel aria-hidden />)}
          {!viewer.isClient && room("/hours", "Hours", <Clock aria-hidden />)}
          {room("/mailings", "Mailings", <Mail aria-hidden />)}
          {wide && pins.length > 0 && <div className="head">Your pins</div>}
          {wide && <PinList pins={pins} />}
          <div className="spread">{!wide && <span className="title">Grand Tally</span>}</div>
          {!wide && pins.length > 0 && <PinMenu pins={pins} />}
          {viewer.role === "administrator" &&
            room("/settings", "Settings", <SlidersHorizontal aria-hidden />)}
          <You {...{ viewer, workspace, wide }} onWiden={widen} onKeys={() => call("keys")} />
        </Spine>
        <div id="room" tabIndex={-1} style={{ minWidth: 0, outline: "none", boxShadow: "none" }}>
          <SightContext.Provider value={sight}>{children}</SightContext.Provider>
        </div>
        {called === "quick box" && (
          <AskBox onClose={close} takeTyped={takeTyped} role={viewer.role} />
        )}
        {called === "keys" && <Keys onClose={close} />}
      </Beside>
    </Zone.Provider>
  );
}
