"use client";
import type { OpenedPart } from "@/contract/figures";
import type { Report, ShownRecords } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import {
  Calculator,
  ChevronDown,
  ChevronUp,
  Copy,
  Download,
  Funnel,
  List,
  Scale,
  ScanSearch,
} from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { Tab, TabList, TabPanel, Tabs } from "react-aria-components";
import { columnsOf } from "./columns";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";

import type { Mark } from "@/core/figure";

import { ask, Button, Choose, tell, Waiting, Opens } from "../kit";

import { ChangeMany } from "./ChangeMany";
import { Compare, Look } from "./Compare";
import { fieldOptions, samePath } from "./pickers/fields";
import { Foot } from "./pickers/parts";
import { partOf } from "./openedPart";
import { recordsWords } from "./recordsWords";
import { RecordsTable, type Sorts } from "./RecordsTable";
import { WorkingsBody, workingsText } from "./Workings";

/** The tabs of the drawer. */
export type DrawerTab = "records" | "workings" | "compare" | "look";
const TABS = [
  ["records", "Records", <List key="icon" aria-hidden />],
  ["workings", "Workings", <Calculator key="icon" aria-hidden />],
  ["compare", "Compare", <Scale key="icon" aria-hidden />],
  ["look", "Quick look", <ScanSearch key="icon" aria-hidden />],
] as const;
/** No tab has this name: nothing is chosen while the drawer is closed. */
const CLOSED = "closed";

const Box = styled.section<{ $open: boolean; $tall: boolean }>`
  background: var(--tide);
  padding: 8px 20px 0 22px;
  display: flex;
  flex-direction: column;
  height: ${(p) => (p.$open ? (p.$tall ? 380 : 290) : 42)}px;
  flex: none;
  min-width: 0;
  .leaves {
    display: flex;
    align-items: stretch;
    height: 34px;
    gap: 4px;
    flex: none;
    min-width: 0;
  }
  .drawer {
    display: contents;
  }
  .tabs {
    display: flex;
  }
  .tab {
    cursor: pointer;
    display: flex;
    align-items: center;
    gap: 8px;
    padding: 0 12px;
    font-weight: 600;
    color: var(--ink-2);
    white-space: nowrap;
  }
  .tab[aria-selected="true"] {
    background: var(--tide-2);
    color: var(--ink);
  }
  .tab svg {
    width: 16px;
    height: 16px;
  }
  .what {
    display: flex;
    align-items: center;
    gap: 9px;
    padding: 0 12px;
    min-width: 0;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .what i {
    width: 13px;
    height: 13px;
    background: var(--brass);
    flex: none;
  }
  .what b {
    font-weight: 650;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .acts {
    margin-left: auto;
    display: flex;
    align-items: center;
    flex: none;
  }
  .body {
    background: var(--tide-2);
    flex: 1;
    min-height: 0;
    display: flex;
    flex-direction: column;
  }
  @media (max-width: 700px) {
    padding: 8px 8px 0;
    .leaves {
      overflow-x: auto;
    }
  }
`;
interface DrawerProps {
  readonly context: AskContext;
  readonly report: Report;
  readonly opened: Mark | null;
  readonly tab: DrawerTab | null;
  readonly onTab: (tab: DrawerTab | null) => void;
  readonly onShowAll: () => void;
  readonly reports: readonly { readonly id: number; readonly name: string }[];
  readonly mayChangeItems: boolean;
  readonly onSaveFilter: (() => void) | null;
  /** Sends the records of the part out as a file. */
  readonly onExport: ((opened: OpenedPart | undefined) => void) | null;
}

/** Exactly the records behind a figure, and how it was counted. */
export function Drawer({
  context,
  report,
  opened,
  tab,
  onTab,
  onShowAll,
  reports,
  mayChangeItems,
  onSaveFilter,
  onExport,
}: DrawerProps) {
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const canPick = mayChangeItems && report.subject.id === "items";
  const [showing, setShowing] = useState<readonly (readonly string[])[] | null>(null);
  const [sorts, setSorts] = useState<Sorts>([]);
  const [count, setCount] = useState<Pick<ShownRecords, "count" | "different"> | null>(null);
  const shown =
    showing?.filter((ids) => context.catalog.findPath(report.subject.id, ids)) ?? columnsOf(report);
  const known = sorts.filter((sort) => context.catalog.findPath(report.subject.id, sort.field));
  const part = partOf(opened);
  const wasOpen = useRef(false);
  useEffect(() => setPicked(new Set()), [report, opened]);
  const workings = useQuery({
    queryKey: ["workings", report],
    queryFn: ({ signal }) => ask("workings", { definition: report }, signal),
    enabled: tab === "workings",
  });
  const toggle = (ids: readonly string[]) =>
    setShowing(
      shown.some((one) => samePath(one, ids))
        ? shown.filter((one) => !samePath(one, ids))
        : [...shown, ids],
    );
  return (
    <Box $open={tab !== null} $tall={picked.size > 0} aria-label="Records and workings">
      <Tabs
        className="drawer"
        keyboardActivation="manual"
        selectedKey={tab ?? CLOSED}
        onSelectionChange={(key) => onTab(key as DrawerTab)}
      >
        <div className="leaves">
          <TabList aria-label="Leaves" className="tabs">
            {TABS.map(([id, words, icon]) => (
              <Tab
                key={id}
                id={id}
                className="tab"
                onPressStart={() => (wasOpen.current = tab === id)}
                onPress={() => wasOpen.current && onTab(null)}
              >
                {icon}
                {words}
              </Tab>
            ))}
          </TabList>
          {tab === "records" && (
            <div className="what" role="status" title={part && opened?.about}>
              {part && <i aria-hidden />}
              <b>{part ? opened!.label : "All"}</b>
              {count !== null && (
                <span>· {recordsWords(count, report, part, context.catalog)}</span>
              )}
              {part && opened?.about && (
                <span style={{ color: "var(--ink-3)" }}>{opened.about}</span>
              )}
            </div>
          )}
          <div className="acts">
            {tab === "records" && part && (
              <Button $small onPress={onShowAll}>
                Show all
              </Button>
            )}
            {tab === "records" && onSaveFilter && report.where && (
              <Button
                $small
                $icon
                aria-label="Save these conditions as a filter"
                onPress={onSaveFilter}
              >
                <Funnel aria-hidden />
              </Button>
            )}
            {tab === "records" && onExport && (
              <Button
                $small
                $icon
                aria-label="Download these records"
                onPress={() => onExport(part)}
              >
                <Download aria-hidden />
              </Button>
            )}
            {tab === "records" && (
              <Opens label="Columns" placement="top end" button={<Button $small>Columns</Button>}>
                {(close) => (
                  <>
                    <Choose
                      label="Columns"
                      options={fieldOptions(context.catalog, report.subject.id, () => true)}
                      chosen={shown}
                      many
                      same={samePath}
                      onChoose={toggle}
                    />
                    <Foot>
                      <Button $small $look="solid" onPress={close}>
                        Done
                      </Button>
                    </Foot>
                  </>
                )}
              </Opens>
            )}
            {tab === "workings" && workings.data && (
              <Button
                $small
                onPress={() =>
                  void navigator.clipboard.writeText(workingsText(workings.data)).then(
                    () => tell("The workings are copied."),
                    () => tell("This browser does not let pages copy."),
                  )
                }
              >
                <Copy aria-hidden />
                Copy as text
              </Button>
            )}
            <Button
              $small
              $icon
              aria-label={tab ? "Close the drawer" : "Open the drawer"}
              onPress={() => onTab(tab ? null : "records")}
            >
              {tab ? <ChevronDown aria-hidden /> : <ChevronUp aria-hidden />}
            </Button>
          </div>
        </div>
        {tab === "records" && (
          <TabPanel id="records" className="body">
            <RecordsTable
              report={report}
              {...(part ? { opened: part } : {})}
              showing={shown}
              sorts={known}
              onSort={setSorts}
              onCount={setCount}
              {...(canPick ? { picked, onPick: setPicked } : {})}
            />
          </TabPanel>
        )}
        {tab === "records" && picked.size > 0 && (
          <ChangeMany context={context} picked={picked} onDone={() => setPicked(new Set())} />
        )}
        {tab === "compare" && (
          <TabPanel id="compare" className="body">
            <Compare context={context} report={report} opened={part} reports={reports} />
          </TabPanel>
        )}
        {tab === "look" && (
          <TabPanel id="look" className="body">
            <Look context={context} report={report} opened={part} />
          </TabPanel>
        )}
        {tab === "workings" && (
          <TabPanel id="workings" className="body">
            {workings.data ? (
              <WorkingsBody workings={workings.data} />
            ) : workings.error ? (
              <p role="alert" style={{ padding: 14 }}>
                {workings.error.message}
              </p>
            ) : (
              <Waiting style={{ padding: 14 }}>Counting each condition …</Waiting>
            )}
          </TabPanel>
        )}
      </Tabs>
    </Box>
  );
}
