"use client";
import { printReport, type ListReport, type Report, listsRecords } from "@/core/kinds";
import { ScrollText } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useState } from "react";
import styled from "styled-components";
import { PLAIN_DRESS, type Dress } from "@/core/definition";
import { Page, SightLine, undoKeys, useShortcuts, useUndo } from "../kit";
import { ConditionBuilder, contextOf, Headline, ListFigure, type RoomFacts } from "../report";

const Head = styled.header`
  padding: 12px 32px 10px;
  .bar {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 16px;
    min-height: 34px;
    font-weight: 650;
  }
  a {
    display: inline-flex;
    gap: 6px;
    align-items: center;
    color: var(--plum);
    font-weight: 600;
    svg {
      width: 16px;
      height: 16px;
    }
  }
  @media (max-width: 700px) {
    padding: 8px 16px;
  }
`;
const Body = styled.div`
  background: var(--salt);
  flex: 1;
  min-height: 420px;
  display: flex;
  flex-direction: column;
  padding: 12px 32px;
  @media (max-width: 700px) {
    padding: 12px 16px;
  }
`;

/** All items within sight, as a list: narrowed, ordered and grouped by the sentence that reports have. */
export function ItemsRoom({ facts, first }: { facts: RoomFacts; first: ListReport }) {
  const router = useRouter();
  const context = useMemo(() => contextOf(facts), [facts]);
  const steps = useUndo<ListReport>(() => ({ past: [], now: first }));
  const { now: report, set, isChanged } = steps;
  const [dress, setDress] = useState<Dress>(PLAIN_DRESS);
  const [showsGroups, setShowsGroups] = useState(false);
  const says = printReport(report, context.catalog);
  const asReport = `/reports/new?s=${encodeURIComponent(says)}`;
  useShortcuts(undoKeys(steps));
  useEffect(() => {
    if (isChanged) window.history.replaceState(null, "", `/items?s=${encodeURIComponent(says)}`);
  }, [says, isChanged]);
  // What is no list any more is a report of its own.
  const change = (next: Report) =>
    listsRecords(next)
      ? set(next)
      : router.push(`/reports/new?s=${encodeURIComponent(printReport(next, context.catalog))}`);
  return (
    <Page style={{ height: "100vh" }}>
      <Head>
        <div className="bar">
          Items
          <Link href={asReport}>
            <ScrollText aria-hidden />
            Keep as a report
          </Link>
        </div>
        <Headline
          context={context}
          report={report}
          onChange={change}
          text={says}
          dress={dress}
          onDress={setDress}
          onGroups={() => setShowsGroups(true)}
        />
      </Head>
      <Body>
        {showsGroups ? (
          <ConditionBuilder
            context={context}
            report={report}
            dress={dress}
            onChange={(next, dressed) => {
              change(next);
              setDress(dressed);
            }}
            onDone={() => setShowsGroups(false)}
          />
        ) : (
          <ListFigure
            context={context}
            report={report}
            onReport={set}
            dress={dress}
            onDress={setDress}
            mayChangeItems={facts.mayChangeItems}
          />
        )}
        <SightLine />
      </Body>
    </Page>
  );
}
