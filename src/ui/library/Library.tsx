"use client";
import type { FilterLine, ReadyLine, ReportLine } from "@/contract/library";
import type { NoticeLine } from "@/contract/notes";
import { Plus, Search, Trash2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import styled from "styled-components";
import type { Thing } from "@/core/catalog";

import { Sharing } from "../handing";
import {
  ask,
  Button,
  Choice,
  Empty,
  later,
  laterDialog,
  Mast,
  Notice,
  Page,
  Purpose,
  Title,
} from "../kit";
import { Sketch } from "../report";
import { BringIn } from "./BringIn";
import { ReportRow } from "./ReportRow";
import { Rows } from "./rows";
import { isFound } from "@/core/base";
import { ORDERS, shelvesOf, textsOf, type Order, type Shelf } from "./shelves";

const Filters = later(() => import("./Filters"), "Filters");
const Bin = laterDialog(() => import("./Bin"), "Bin");

const SearchBox = styled.div`
  background: var(--sand);
  padding: 10px 32px;
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
  .box {
    display: flex;
    align-items: center;
    gap: 12px;
    background: var(--salt);
    height: 50px;
    padding: 0 18px;
    flex: 1 1 360px;
    max-width: 700px;
  }
  .box:focus-within {
    outline: 3px solid var(--plum);
  }
  input {
    border: 0;
    background: none;
    flex: 1;
    min-width: 0;
    font: italic 400 21px/30px var(--serif);
    outline: none !important;
    box-shadow: none !important;
  }
  input::placeholder {
    color: var(--ink-3);
  }
  svg {
    color: var(--plum);
    flex: none;
  }
  @media (max-width: 700px) {
    padding: 10px 16px;
  }
`;
const Leaves = styled.div`
  display: flex;
  gap: 4px;
  padding: 0 32px;
  background: var(--sand);
  button {
    padding: 8px 14px;
    font-weight: 600;
    color: var(--plum);
  }
  button[aria-pressed="true"] {
    background: var(--paper);
    color: var(--ink);
  }
  @media (max-width: 700px) {
    padding: 0 16px;
  }
`;
const Body = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 284px;
  gap: 0 28px;
  padding: 0 32px 40px;
  .ready {
    background: var(--tide);
    padding: 14px 18px;
    margin-top: 12px;
    align-self: start;
    h2 {
      font: 620 20px/24px var(--serif);
    }
    p {
      color: var(--ink-2);
      margin-bottom: 8px;
    }
    li {
      display: grid;
      grid-template-columns: 70px minmax(0, 1fr);
      gap: 12px;
      align-items: center;
      border-top: 1px solid var(--tide-2);
      padding: 8px 0;
    }
    .preview {
      background: var(--salt);
      height: 48px;
      padding: 6px 8px;
      overflow: hidden;
    }
    .preview svg {
      width: 100%;
      height: 36px;
    }
    a {
      font-weight: 600;
      color: var(--ink);
    }
    small {
      color: var(--ink-2);
      font-size: 12.5px;
      display: block;
    }
  }
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
    padding: 0 16px 40px;
  }
`;
const SHOWN = 8;
const READY = 7;

type Leaf = "reports" | "filters";
interface LibraryProps {
  readonly reports: readonly ReportLine[];
  readonly filters: readonly FilterLine[];
  readonly notices: readonly NoticeLine[];
  readonly ready: readonly ReadyLine[];
  readonly people: readonly Thing[];
  readonly teams: readonly Thing[];
  readonly mayBuild: boolean;
  readonly words: string;
  readonly leaf: Leaf;
}

/** All reports and saved filters that one may read, found by their names, purposes and sentences. */
export function Library({
  reports,
  filters,
  notices,
  ready,
  people,
  teams,
  mayBuild,
  words: first,
  leaf: begun,
}: LibraryProps) {
  const [words, setWords] = useState(first);
  const [leaf, setLeaf] = useState(begun);
  const [order, setOrder] = useState<Order>("seen");
  const [category, setCategory] = useState("");
  const [shared, setShared] = useState<{
    kind: "report" | "filter";
    id: number;
    name: string;
    mayChange: boolean;
  } | null>(null);
  const [bin, setBin] = useState(false);
  const router = useRouter();
  const categories = useMemo(
    () =>
      [...new Set(reports.map((report) => report.category).filter(Boolean))].sort((a, b) =>
        a.localeCompare(b),
      ),
    [reports],
  );
  const found = useMemo(
    () =>
      reports.filter(
        (report) => (!category || report.category === category) && isFound(words, textsOf(report)),
      ),
    [reports, words, category],
  );
  const shelves = useMemo(() => shelvesOf(found, order), [found, order]);
  const search = (next: string) => {
    setWords(next);
    window.history.replaceState(
      null,
      "",
      next ? `/reports?q=${encodeURIComponent(next)}` : "/reports",
    );
  };
  const [isAll, setAll] = useState(false);
  const foundFilters = filters.filter((filter) =>
    isFound(words, [filter.name, filter.purpose, filter.owner, filter.says]),
  );
  return (
    <Page>
      <Mast>
        <Title>Reports</Title>
        <Purpose>
          {reports.length} that you may read. Every one is a sentence; every figure opens.
        </Purpose>
        <div className="acts">
          {mayBuild && (
            <>
              <BringIn />
              <Button onPress={() => setBin(true)}>
                <Trash2 aria-hidden />
                Bin
              </Button>
            </>
          )}
          <Button $look="solid" onPress={() => router.push("/reports/new")}>
            <Plus aria-hidden />
            New report
          </Button>
        </div>
      </Mast>
      <SearchBox role="search">
        <div className="box">
          <Search size={19} aria-hidden />
          <input
            aria-label="Find a report"
            placeholder="Find a report by its name or by what it says"
            value={words}
            onChange={(event) => search(event.target.value)}
            onKeyDown={(event) =>
              event.key === "Enter" && found[0] && router.push(`/reports/${found[0].id}`)
            }
          />
        </div>
        {categories.length > 0 && (
          <Choice
            label="Category"
            hideLabel
            value={category}
            options={[["", "any category"], ...categories.map((one) => [one, one] as const)]}
            onChange={setCategory}
          />
        )}
        <Choice label="Order" hideLabel value={order} options={ORDERS} onChange={setOrder} />
      </SearchBox>
      <Leaves role="group" aria-label="What is shown">
        <button aria-pressed={leaf === "reports"} onClick={() => setLeaf("reports")}>
          Reports · {reports.length}
        </button>
        <button aria-pressed={leaf === "filters"} onClick={() => setLeaf("filters")}>
          Saved filters · {filters.length}
        </button>
      </Leaves>
      <Notices first={notices} />
      {leaf === "reports" && reports.length === 0 && (
        <Empty says="No report is saved yet. Say what to count, and keep the answer here.">
          <Button $look="solid" onPress={() => router.push("/reports/new")}>
            New report
          </Button>
        </Empty>
      )}
      {leaf === "reports" && reports.length > 0 && found.length === 0 && (
        <Empty
          says={words ? `No report is called or says “${words}”.` : "No report of this category."}
        >
          <Button
            $look="line"
            onPress={() => {
              search("");
              setCategory("");
            }}
          >
            Show all {reports.length}
          </Button>
          {words && (
            <Button
              $look="line"
              onPress={() => router.push(`/reports/new?s=${encodeURIComponent(words)}`)}
            >
              Count it
            </Button>
          )}
        </Empty>
      )}
      <Body>
        <div style={{ minWidth: 0 }}>
          {leaf === "filters" ? (
            <Filters
              filters={foundFilters}
              mayBuild={mayBuild}
              onShare={(filter) =>
                setShared({
                  kind: "filter",
                  id: filter.id,
                  name: filter.name,
                  mayChange: filter.mayChange,
                })
              }
            />
          ) : (
            shelves.map((shelf) => (
              <ShelfOf
                key={shelf.title}
                shelf={shelf}
                mayBuild={mayBuild}
                onShare={(report) =>
                  setShared({
                    kind: "report",
                    id: report.id,
                    name: report.name,
                    mayChange: report.mayChange,
                  })
                }
              />
            ))
          )}
        </div>
        {leaf === "reports" && ready.length > 0 && (
          <aside className="ready" aria-label="Ready-made">
            <h2>Ready-made</h2>
            <p>Made for this workspace. Open one, then change any word.</p>
            <ul>
              {ready.slice(0, isAll ? ready.length : READY).map((one) => (
                <li key={one.name}>
                  <span className="preview">
                    <Sketch shape={one.shape} />
                  </span>
                  <span>
                    <Link href={`/reports/new?s=${encodeURIComponent(one.sentence)}`}>
                      {one.name}
                    </Link>
                    <small>{one.category}</small>
                  </span>
                </li>
              ))}
            </ul>
            {ready.length > READY && (
              <Button $small onPress={() => setAll(!isAll)}>
                {isAll ? "Show fewer" : `All ${ready.length} ready-made`}
              </Button>
            )}
          </aside>
        )}
      </Body>
      <Bin isOpen={bin} onClose={() => setBin(false)} />
      {shared && (
        <Sharing
          kind={shared.kind}
          id={shared.id}
          name={shared.name}
          people={people}
          teams={teams}
          mayChange={shared.mayChange}
          isOpen
          onClose={() => setShared(null)}
        />
      )}
    </Page>
  );
}

function ShelfOf({
  shelf,
  mayBuild,
  onShare,
}: {
  shelf: Shelf;
  mayBuild: boolean;
  onShare: (report: ReportLine) => void;
}) {
  const [isWhole, setWhole] = useState(false);
  const shown = isWhole ? shelf.reports : shelf.reports.slice(0, SHOWN);
  return (
    <Rows aria-label={shelf.title}>
      <h2>
        {shelf.title} <em>{shelf.says}</em>
        {shelf.reports.length > SHOWN && (
          <span>
            {shown.length} of {shelf.reports.length} ·{" "}
            <Button $small onPress={() => setWhole(!isWhole)}>
              {isWhole ? "show fewer" : "show all"}
            </Button>
          </span>
        )}
      </h2>
      <ul>
        {shown.map((report) => (
          <ReportRow
            key={report.id}
            report={report}
            mayBuild={mayBuild}
            onShare={() => onShare(report)}
          />
        ))}
      </ul>
    </Rows>
  );
}

/** What the owner of reports is told: a value that came later, a mailing that failed. */
function Notices({ first }: { first: readonly NoticeLine[] }) {
  const [notices, setNotices] = useState(first);
  const seen = (notice: NoticeLine) => {
    setNotices((now) => now.filter((one) => one.about !== notice.about));
    void ask("noticeSeen", { about: notice.about }).catch(() => undefined);
  };
  if (notices.length === 0) return null;
  return (
    <div style={{ padding: "10px 32px 0", display: "grid", gap: 6 }}>
      {notices.slice(0, 4).map((notice) => (
        <Notice key={notice.about} role="status">
          <Link href={notice.href}>{notice.words}</Link>
          <Button $small onPress={() => seen(notice)}>
            Seen
          </Button>
        </Notice>
      ))}
    </div>
  );
}
