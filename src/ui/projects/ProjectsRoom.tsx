"use client";
import Link from "next/link";
import { useState } from "react";
import { TabPanel } from "react-aria-components";
import { dayText, longDayText, type Day } from "@/core/time";
import {
  Choice,
  DayField,
  Empty,
  later,
  Mast,
  Page,
  Purpose,
  SightLine,
  Title,
  useAddress,
  Waiting,
} from "../kit";
import { useSaidOpening } from "../said";
import { Leafed, LeafTabs, Leaves, useLeaf } from "../rooms";
import {
  conditionOf,
  fits,
  NARROWED_BY,
  NARROWING_ADDRESS,
  valuesOf,
  type NarrowedBy,
  type Narrowing,
} from "./narrowing";
import { Portfolio } from "./Portfolio";
import { ALL_PROJECTS } from "./sentences";
import { recordsIn, useSaid } from "./useSaid";
import { portfolioRows, type PortfolioRow } from "./verdicts";

const Timeline = later(() => import("../timeline"), "Timeline");
const ProjectList = later(() => import("./ProjectList"), "ProjectList");

const LEAVES = { portfolio: "Portfolio", timeline: "Timeline", list: "List" } as const;
type Leaf = keyof typeof LEAVES;

const NONE_AT_ALL =
  "There are no projects here, or none that you may see. They come with a bundle, in projects.csv.";

interface ProjectsRoomProps {
  readonly today: Day;
  readonly healthWords: readonly string[];
  /** Who may ask managers for their words. */
  readonly mayRemind: boolean;
}

/** All projects: which need a hand, and who has one free; when everything is; and one by one. */
export function ProjectsRoom({ today, healthWords, mayRemind }: ProjectsRoomProps) {
  const [leaf, setLeaf] = useLeaf(LEAVES);
  const [narrowing, setNarrowing] = useAddress(NARROWING_ADDRESS);
  const [stood, setStood] = useState("");
  const { data, error } = useSaid(ALL_PROJECTS, stood);
  const { open, records } = useSaidOpening(undefined);
  const found = recordsIn(data);
  const all = found ? portfolioRows(found) : null;
  const rows = all?.filter((row) => fits(row, narrowing));
  const shared = { healthWords, today, stood, open };
  const bodyOf = (shown: Leaf, of: readonly PortfolioRow[]) => {
    switch (shown) {
      case "portfolio":
        return (
          <Portfolio
            {...shared}
            rows={of}
            where={conditionOf(narrowing, "stage is not finished")}
            mayRemind={mayRemind}
          />
        );
      case "timeline":
        return <Timeline rows={of.map((row) => row.id)} today={today} stood={stood} />;
      case "list":
        return <ProjectList {...shared} rows={of} />;
    }
  };
  return (
    <Page>
      <Mast>
        <Title>Projects</Title>
        <Purpose>Which need a hand, and who has one free?</Purpose>
        <div className="acts">
          <Link href="/briefings">Briefings</Link>
          <b>{longDayText(today)}</b>
          <DayField
            label="As it stood on"
            value={stood}
            max={today}
            none="now"
            back="Back to now"
            onChange={setStood}
          />
        </div>
      </Mast>
      <Leafed selectedKey={leaf} onSelectionChange={(id) => setLeaf(id as Leaf)}>
        <Leaves>
          <LeafTabs label="How projects are shown" leaves={LEAVES} />
          {all && <Strip all={all} narrowing={narrowing} onNarrow={setNarrowing} />}
          {stood && <span className="end">as it stood on {dayText(stood)}</span>}
        </Leaves>
        <TabPanel key={leaf} id={leaf}>
          {!all || !rows ? (
            error ? (
              <Empty says={error.message} />
            ) : (
              <Waiting>Counting …</Waiting>
            )
          ) : rows.length === 0 ? (
            <Empty says={all.length === 0 ? NONE_AT_ALL : "No project fits all of these."} />
          ) : (
            bodyOf(leaf, rows)
          )}
        </TabPanel>
      </Leafed>
      <div className="sight">
        <SightLine />
      </div>
      {records}
    </Page>
  );
}

const ANY = "any";

/** What the projects are narrowed by, as a sentence. */
function Strip({
  all,
  narrowing,
  onNarrow,
}: {
  all: readonly PortfolioRow[];
  narrowing: Narrowing;
  onNarrow: (narrowing: Narrowing) => void;
}) {
  const offered = NARROWED_BY.flatMap((field) => {
    // What one field offers is what the others leave.
    const { [field]: _own, ...others } = narrowing;
    const values = valuesOf(
      all.filter((row) => fits(row, others)),
      field,
    );
    return values.length > 1 || narrowing[field] !== undefined ? [{ field, values }] : [];
  });
  const choose = (field: NarrowedBy, value: string) => {
    const { [field]: _was, ...rest } = narrowing;
    onNarrow(value === ANY ? rest : { ...rest, [field]: value });
  };
  return (
    <div className="said" role="group" aria-label="Which projects">
      {offered.map(({ field, values }, i) => (
        <span key={field} className="said">
          {i === 0 ? "where" : "and"} {field} is
          <Choice
            said
            hideLabel
            label={field}
            value={narrowing[field] ?? ANY}
            options={[[ANY, "any"], ...values.map((value) => [value, value] as const)]}
            onChange={(value) => choose(field, value)}
          />
        </span>
      ))}
    </div>
  );
}
