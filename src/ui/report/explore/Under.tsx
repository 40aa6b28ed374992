"use client";
import type { ReportName } from "@/contract/library";
import { isDrawable, printReport, type Drawable, answerOf } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { X } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import { PLAIN_DRESS, type Dress } from "@/core/definition";
import type { Mark } from "@/core/figure";

import { useCursor } from "../../charts";
import { ask, Button, Choice, useAddress, Waiting, type InAddress } from "../../kit";
import { partOf } from "../openedPart";
import { FigureBody } from "../FigurePane";
import { measureWords } from "../kinds/shown";
import { OpenedRecords } from "../later";
import {
  alongTrend,
  LAID_WORDS,
  laidOf,
  MOST_LAID,
  readLaid,
  underTrend,
  type Laid,
  type Trend,
  isTrend,
} from "./steps";

const Row = styled.section`
  display: flex;
  flex-direction: column;
  height: 236px;
  flex: none;
  border-top: 1px solid var(--line);
  padding-top: 6px;
  .top {
    display: flex;
    gap: 8px;
    align-items: center;
  }
  h3 {
    font: 680 14px/20px var(--sans);
    margin: 0;
  }
  .top span {
    color: var(--ink-2);
  }
`;

/** The cursor tells the values. */
const QUIET: Dress = { ...PLAIN_DRESS, labels: "none" };

/** What is laid under a trend lives in the address, so that it can be kept and sent. */
const LAID: InAddress<readonly Laid[]> = {
  name: "under",
  plain: [],
  read: readLaid,
  write: (laid) => (laid.length ? laid.join(",") : null),
};
export const useLaid = () => useAddress(LAID);

interface UnderProps {
  readonly context: AskContext;
  readonly report: Trend;
  readonly laid: readonly Laid[];
  readonly onLaid: (laid: readonly Laid[]) => void;
  readonly reports: readonly ReportName[];
}

/** Chooses what to lay under a trend. */
export function LayUnder({ report, laid, onLaid, reports }: Omit<UnderProps, "context">) {
  if (laid.length >= MOST_LAID) return null;
  const own = laidOf(report)
    .filter((one) => !laid.includes(one))
    .map((one) => [one as string, LAID_WORDS[one]] as const);
  const others = reports
    .filter((one) => one.isTrend && !laid.includes(`r${one.id}`))
    .map((one) => [`r${one.id}`, one.name] as const);
  return (
    <Choice
      hideLabel
      label="Lay under it"
      value=""
      options={[["", "lay under it …"], ...own, ...others]}
      onChange={(chosen) => chosen && onLaid([...laid, chosen as Laid])}
    />
  );
}

/** The trends that lie under one, along the same axis. */
export const Under = ({ laid, ...props }: UnderProps) => (
  <>
    {laid.map((one) =>
      /^r/.test(one) ? (
        <LaidReport key={one} id={Number(one.slice(1))} one={one} laid={laid} {...props} />
      ) : (
        <LaidTrend
          key={one}
          one={one}
          laid={laid}
          {...props}
          report={underTrend(props.report, one as "flows")}
          dress={QUIET}
          name={LAID_WORDS[one as "flows"]}
        />
      ),
    )}
  </>
);

/** Another report by the stretches of this trend. */
function LaidReport({ id, ...props }: UnderProps & { id: number; one: Laid }) {
  const { data, error } = useQuery({
    queryKey: ["laid", id],
    queryFn: ({ signal }) => ask("tile", { report: id }, signal),
    staleTime: 300_000,
  });
  if (error)
    return (
      <Row aria-label="Another report">
        <div className="top">
          <span role="alert">{error.message}</span>
          <Away {...props} />
        </div>
      </Row>
    );
  if (!data)
    return (
      <Row aria-label="Another report">
        <Waiting>Reading the report …</Waiting>
      </Row>
    );
  const { definition } = data;
  if (!isTrend(definition))
    return (
      <Row aria-label={data.name}>
        <div className="top">
          <span role="alert">{data.name} is no trend any more.</span>
          <Away {...props} />
        </div>
      </Row>
    );
  return (
    <LaidTrend
      {...props}
      report={alongTrend(props.report, definition)}
      dress={data.dress}
      name={data.name}
    />
  );
}

const Away = ({
  one,
  laid,
  onLaid,
}: {
  one: Laid;
  laid: readonly Laid[];
  onLaid: UnderProps["onLaid"];
}) => (
  <Button
    $small
    $icon
    aria-label="Take it away"
    onPress={() => onLaid(laid.filter((other) => other !== one))}
  >
    <X aria-hidden />
  </Button>
);

function LaidTrend({
  context,
  report,
  dress,
  name,
  one,
  laid,
  onLaid,
}: UnderProps & { one: Laid; dress: Dress; name: string }) {
  const [opened, setOpened] = useState<Mark | null>(null);
  const { data, error } = useQuery({
    queryKey: ["figure", report, dress],
    queryFn: ({ signal }) => ask("figure", { definition: report, dress }, signal),
  });
  const shown = isDrawable(data) ? data : null;
  const says = printReport(report, context.catalog);
  return (
    <Row aria-label={name}>
      <div className="top">
        <h3>{name.charAt(0).toUpperCase() + name.slice(1)}</h3>
        <AtCursor shown={shown} />
        <span style={{ marginLeft: "auto" }} />
        <Link href={`/reports/new?s=${encodeURIComponent(says)}`}>Open as a report</Link>
        <Away one={one} laid={laid} onLaid={onLaid} />
      </div>
      {error ? (
        <p role="alert">{error.message}</p>
      ) : !shown ? (
        <Waiting>Counting …</Waiting>
      ) : (
        <FigureBody
          shown={shown}
          report={report}
          dress={dress}
          measure={measureWords(shown, report, context)}
          title={name}
          opened={opened}
          onOpen={setOpened}
          asTable={false}
        />
      )}
      {opened && (
        <OpenedRecords
          title={`${name}: ${opened.label}`}
          report={report}
          part={partOf(opened)}
          onClose={() => setOpened(null)}
        />
      )}
    </Row>
  );
}

/** What a trend comes to at the cursor, in words. */
export function AtCursor({ shown }: { shown: Drawable | null }) {
  const cursor = useCursor();
  const row = cursor?.place == null ? undefined : shown?.figure?.rows[cursor.place];
  if (!row || !shown?.figure) return null;
  const { series, lines = [] } = shown.figure;
  const flows = answerOf("crossings", shown);
  const parts = [
    ...series.map((one, i) => `${one.label} ${row.parts[i].words}`),
    ...lines.map((one, i) => `${one.label} ${row.lines![i].words}`),
  ];
  return (
    <span>
      {row.label}: <b>{series.length && flows ? parts.join(", ") : row.words}</b>
      {series.length && !flows ? ` (${parts.join(", ")})` : ""}
    </span>
  );
}
