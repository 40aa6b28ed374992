"use client";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Anchor, ArrowLeft } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import styled from "styled-components";
import type { KeptPart, ShownBriefing } from "@/contract/briefings";
import { hereOf } from "@/core/briefing";
import type { Thing } from "@/core/catalog";
import { dayText } from "@/core/time";
import {
  ask,
  askFile,
  Button,
  later,
  laterDialog,
  MenuButton,
  Page,
  SightLine,
  tell,
  type MenuEntry,
} from "../kit";
import { Mailing } from "../handing";
import { useSaidOpening } from "../said";
import { BriefingPage } from "./BriefingPage";
import { Index } from "./Index";

const PartPanel = later(() => import("./PartPanel"), "PartPanel");
const Writing = later(() => import("./Writing"), "Writing");
const Freeze = laterDialog(() => import("./Freeze"), "Freeze");

const Top = styled.header`
  display: flex;
  gap: 8px 16px;
  align-items: center;
  min-height: 56px;
  padding: 8px 32px;
  flex-wrap: wrap;
  .back {
    display: inline-flex;
    gap: 10px;
    align-items: center;
    font-weight: 650;
  }
  .state {
    color: var(--ink-2);
    font-size: 12.5px;
  }
  .acts {
    margin-left: auto;
    display: flex;
    gap: 6px;
    flex-wrap: wrap;
  }
  @media print {
    display: none;
  }
  @media (max-width: 700px) {
    padding: 8px 16px;
  }
`;
const Sheets = styled.div<{ $writes: boolean }>`
  display: grid;
  grid-template-columns: ${(p) => (p.$writes ? "222px minmax(0, 1fr) 268px" : "222px minmax(0, 1fr)")};
  flex: 1;
  align-items: stretch;
  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
  }
  @media print {
    display: block;
  }
`;
const Frozen = styled.div`
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  background: var(--lit);
  border-left: 5px solid var(--brass);
  color: var(--brass-ink);
  padding: 7px 36px;
  min-height: 40px;
  > button {
    margin-left: auto;
  }
  @media print {
    background: none;
  }
`;

/** A briefing: read by who may, and written in by who makes it. */
export function BriefingRoom({
  briefing: given,
  role,
  people,
  teams,
}: {
  briefing: ShownBriefing;
  role: string;
  people: readonly Thing[];
  teams: readonly Thing[];
}) {
  const client = useQueryClient();
  const router = useRouter();
  const key = ["briefing", given.id];
  const { data: briefing = given } = useQuery({
    queryKey: key,
    queryFn: ({ signal }) => ask("briefing", { id: given.id }, signal),
    initialData: given,
  });
  const [picked, setPicked] = useState<string | null>(null);
  const [isReading, setReading] = useState(false);
  const [freezing, setFreezing] = useState(false);
  const [mailing, setMailing] = useState(false);
  const [state, setState] = useState("");
  const here = hereOf(briefing);
  const { open, records } = useSaidOpening(here);
  const mayWrite = briefing.mayChange && !isReading && !briefing.isGone;
  const refresh = () => client.invalidateQueries({ queryKey: key });
  /** Keeps the parts, one after the other; what somebody else wrote meanwhile is never written over. */
  const save = async (parts: readonly KeptPart[], title = briefing.title): Promise<boolean> => {
    setState("keeping …");
    try {
      await ask("saveBriefing", {
        id: briefing.id,
        version: briefing.version,
        title,
        parts: [...parts],
      });
      await refresh();
      setState("kept");
      return true;
    } catch (error) {
      setState("");
      tell((error as Error).message, {
        words: "Look again",
        run: () => void refresh(),
      });
      return false;
    }
  };
  const drop = async () => {
    try {
      await ask("dropBriefing", { id: briefing.id });
    } catch (error) {
      return tell((error as Error).message);
    }
    tell("The briefing is put away.");
    router.push(backTo(briefing));
  };
  const part = mayWrite && picked ? briefing.kept.find((one) => one.id === picked) : undefined;
  const read = briefing.parts.find((one) => one.id === picked);
  const change = (next: KeptPart) =>
    save(briefing.kept.map((one) => (one.id === next.id ? next : one)));
  const add = async () => {
    const own: KeptPart = {
      id: `own-${Date.now().toString(36)}`,
      title: "In our own words",
      words: "…",
    };
    if (await save([...briefing.kept, own])) setPicked(own.id);
  };
  const moved = briefing.parts.flatMap((one) => one.moved);
  return (
    <Page>
      <Top>
        <Link className="back" href={backTo(briefing)}>
          <ArrowLeft size={16} aria-hidden />
          {briefing.of}, briefings
        </Link>
        <span className="state" role="status">
          {state}
        </span>
        <div className="acts">
          <Button onPress={() => window.print()}>Print</Button>
          <Button
            onPress={() =>
              void askFile("briefing", { id: briefing.id }, `${briefing.title}.pdf`, {
                meanwhile: "The briefing is being drawn …",
              })
            }
          >
            PDF
          </Button>
          {briefing.mayMail && <Button onPress={() => setMailing(true)}>Mail</Button>}
          {briefing.mayChange && !briefing.frozenOn && (
            <Button onPress={() => setFreezing(true)}>Freeze …</Button>
          )}
          {briefing.mayChange && (
            <MenuButton
              label="More"
              button={<Button>More</Button>}
              entries={moreOf(briefing, role, {
                drop: () => void drop(),
                keepAsTemplate: () => void keepAsTemplate(briefing),
              })}
            />
          )}
          {briefing.mayChange && !briefing.isGone && (
            <Button $look="line" aria-pressed={isReading} onPress={() => setReading(!isReading)}>
              {isReading ? "Write" : "Read only"}
            </Button>
          )}
        </div>
      </Top>
      <Sheets $writes={Boolean(part)}>
        <Index
          briefing={briefing}
          picked={picked}
          mayWrite={mayWrite}
          onPick={(id) => {
            setPicked(id);
            document.getElementById(`part-${id}`)?.scrollIntoView({ block: "center" });
          }}
          onAdd={() => void add()}
        />
        <div>
          {briefing.frozenOn && (
            <Frozen role="status">
              <Anchor size={17} aria-hidden />
              <span>
                <b>Frozen as it stood on {dayText(briefing.frozenOn)}.</b>{" "}
                {briefing.isAnew
                  ? "Answered anew with what you may see."
                  : moved.length === 0
                    ? "Nothing has moved since."
                    : moved.length === 1
                      ? "1 figure has moved since."
                      : `${moved.length} figures have moved since.`}
              </span>
              {mayWrite && moved.length > 0 && (
                <Button $look="line" onPress={() => void countAgain(briefing, refresh)}>
                  Take what they are today
                </Button>
              )}
            </Frozen>
          )}
          <BriefingPage
            briefing={briefing}
            open={open}
            picked={mayWrite ? picked : null}
            {...(mayWrite ? { onPick: setPicked } : {})}
            tools={(shown) =>
              part && (
                <Writing
                  key={part.id}
                  part={part}
                  read={shown}
                  briefing={briefing}
                  onSave={change}
                  onDone={() => setPicked(null)}
                />
              )
            }
          />
        </div>
        {part && (
          <PartPanel
            key={part.id}
            part={part}
            read={read ?? null}
            briefing={briefing}
            onSave={change}
            onMove={(parts) => void save(parts)}
            onTitle={(title) => void save(briefing.kept, title)}
          />
        )}
      </Sheets>
      <div className="sight">
        <SightLine />
      </div>
      <Freeze
        isOpen={freezing}
        onOpenChange={setFreezing}
        briefing={briefing}
        onFrozen={(id: number) => router.push(`/briefings/${id}`)}
      />
      {mailing && (
        <Mailing
          kind="briefing"
          target={briefing.id}
          name={briefing.title}
          people={people}
          teams={teams}
          isOpen
          onClose={() => setMailing(false)}
        />
      )}
      {records}
    </Page>
  );
}

const backTo = ({ kind, target }: ShownBriefing): string =>
  kind === "project" ? `/projects/${target}?leaf=briefings` : "/briefings";

function moreOf(
  briefing: ShownBriefing,
  role: string,
  acts: { readonly drop: () => void; readonly keepAsTemplate: () => void },
): MenuEntry[] {
  return [
    ...(role === "administrator"
      ? [
          {
            id: "template",
            words: `Keep its parts as a template for each ${briefing.kind}`,
            onAction: acts.keepAsTemplate,
          },
        ]
      : []),
    { id: "drop", words: "Put the briefing away", onAction: acts.drop },
  ];
}

async function keepAsTemplate({ kind, title, kept }: ShownBriefing): Promise<void> {
  const name = title.slice(0, 80);
  try {
    await ask("saveTemplate", { kind, name, parts: [...kept] });
    tell(`"${name}" is a template now: a new briefing of a ${kind} may begin with it.`);
  } catch (error) {
    tell((error as Error).message);
  }
}

async function countAgain(
  { id, version }: ShownBriefing,
  refresh: () => Promise<void>,
): Promise<void> {
  try {
    await ask("countAgain", { id, version });
    await refresh();
  } catch (error) {
    tell((error as Error).message);
  }
}
