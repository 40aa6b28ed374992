"use client";
import type { ItemField, ItemPage } from "@/contract/items";
import { useRouter } from "next/navigation";
import { Button as AriaButton } from "react-aria-components";
import styled from "styled-components";
import { durationWords, hoursWords } from "@/core/base";
import { clockText, localDay, longDayText, parseInstant } from "@/core/time";
import Link from "next/link";

import { ask, Page, tell, Opens, Choose } from "../kit";
import { Lanes } from "./Lanes";

interface Choice {
  readonly id: number;
  readonly label: string;
  readonly stage: string | null;
}
interface ItemProps {
  readonly item: ItemPage;
  readonly choices: {
    readonly status: readonly Choice[];
    readonly priority: readonly Choice[];
    readonly assignee: readonly Choice[];
  };
  readonly zone: string;
  readonly statuses: readonly string[];
  readonly priorities: readonly string[];
}

const Head = styled.header`
  padding: 14px 32px 18px;
  .key {
    font-weight: 650;
    color: var(--plum);
  }
  h1 {
    font: 560 36px/42px var(--serif);
    letter-spacing: -0.02em;
    overflow-wrap: anywhere;
    white-space: pre-line;
  }
  .says {
    font: 470 24px/34px var(--serif);
    i {
      color: var(--ink-3);
      font-weight: 400;
    }
    .part {
      display: inline;
      font: inherit;
      color: var(--ink);
      background: radial-gradient(circle at 2px 50%, var(--plum) 1.15px, transparent 1.5px) 0 100% /
        6px 4px repeat-x;
      padding-bottom: 2px;
    }
    .part[data-hovered] {
      background-color: var(--mallow);
    }
    .late {
      color: var(--alarm);
      font: 600 13px/1 var(--sans);
      margin-left: 8px;
    }
  }
  @media (max-width: 700px) {
    padding: 12px 16px;
  }
`;
const Body = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 316px;
  flex: 1;
  .history {
    background: var(--tide);
    padding: 14px 32px 18px;
  }
  .around {
    padding: 14px 32px 30px;
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 28px;
  }
  h2 {
    font: 620 21px/28px var(--serif);
    em {
      font: 400 13px/20px var(--sans);
      color: var(--ink-2);
      margin-left: 8px;
    }
  }
  .fields {
    background: var(--salt);
    padding: 14px 20px 24px;
    h2 {
      border-bottom: 1px solid var(--line);
      padding-bottom: 4px;
      margin-top: 10px;
    }
    dl {
      margin: 0;
    }
    div {
      display: grid;
      grid-template-columns: 104px minmax(0, 1fr);
      gap: 10px;
      border-bottom: 1px solid var(--line);
      padding: 4px 0;
    }
    dt {
      color: var(--ink-2);
    }
    dd {
      margin: 0;
      overflow-wrap: anywhere;
      white-space: pre-line;
    }
    .none {
      color: var(--ink-3);
    }
  }
  table {
    border-collapse: collapse;
    width: 100%;
    margin-top: 10px;
  }
  th {
    text-align: left;
    font-weight: 500;
    font-size: 12.5px;
    color: var(--ink-2);
    padding: 2px 12px 2px 0;
  }
  td {
    border-top: 1px solid rgba(0, 0, 0, 0.12);
    padding: 4px 12px 4px 0;
    vertical-align: top;
  }
  td i {
    font-family: var(--serif);
    font-size: 14.5px;
    color: var(--ink-2);
  }
  td b {
    font-weight: 650;
  }
  .scroll {
    max-height: 320px;
    overflow: auto;
  }
  .comment {
    border-top: 1px solid var(--line);
    padding: 8px 0;
    p {
      font: 400 16px/22px var(--serif);
    }
    small {
      color: var(--ink-2);
      font-size: 12.5px;
    }
  }
  .link {
    border-top: 1px solid var(--line);
    padding: 5px 0;
    display: flex;
    gap: 10px;
    i {
      font-family: var(--serif);
      color: var(--ink-3);
    }
    a {
      font-weight: 650;
    }
  }
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
    .around {
      grid-template-columns: 1fr;
      padding: 14px 16px;
    }
    .history {
      padding: 14px 16px;
    }
  }
`;

const ABOUT = [
  "service",
  "asset",
  "project",
  "sprint",
  "release",
  "parent",
  "category",
  "tags",
  "followers",
  "points",
  "estimate",
  "remaining estimate",
  "description",
];
const WHEN = [
  "created",
  "started",
  "finished",
  "due",
  "age",
  "age in status",
  "lead time",
  "cycle time",
  "reassigned",
  "reopened",
];
const DURATIONS: ReadonlySet<string> = new Set([
  "age",
  "age in status",
  "lead time",
  "cycle time",
  "estimate",
  "remaining estimate",
]);

/** "missed, 12 h of 8 h": what is promised of an item, and how much of its clock it took. */
function promiseWords(
  which: "response" | "resolution",
  value: (id: string) => string | null,
): string | null {
  const [state, taken, target] = [`SLA ${which}`, `${which} time`, `${which} target`].map(value);
  if (state === null || taken === null || target === null) return null;
  return `${state}, ${hoursWords(taken)} of ${hoursWords(target)}`;
}

/** One item: a sentence whose upright words change it, its fields, and its history as spans and as moves. */
export function ItemRoom({ item, choices, zone, statuses, priorities }: ItemProps) {
  const field = (id: string) => item.fields.find((one) => one.id === id);
  const label = (id: string) => field(id)?.label ?? null;
  const when = (iso: string | null) => {
    const instant = iso ? parseInstant(iso) : null;
    return instant === null
      ? iso
      : `${longDayText(localDay(instant, zone))}, ${clockText(instant, zone)}`;
  };
  const custom = item.fields.filter((one) => one.id.startsWith("custom:"));
  const due = field("due")?.value ?? null;
  const isLate =
    due !== null && label("finished") === null && parseInstant(due)! < parseInstant(item.now)!;
  const shown = (one: ItemField) =>
    ["created", "started", "finished", "due"].includes(one.id)
      ? when(one.value)
      : DURATIONS.has(one.id) && one.value
        ? durationWords(Number(one.value))
        : one.label;
  const list = (ids: readonly ItemField[]) => (
    <dl>
      {ids.map((one) => (
        <div key={one.id}>
          <dt>{one.words}</dt>
          <dd>{shown(one) ?? <span className="none">not set</span>}</dd>
        </div>
      ))}
    </dl>
  );
  const pick = (ids: readonly string[]) => ids.flatMap((id) => field(id) ?? []);
  const moves = [...item.moves].reverse();
  const promises = (["response", "resolution"] as const).flatMap((which) => {
    const words = promiseWords(which, (id) => field(id)?.value ?? null);
    return words ? [[which, words] as const] : [];
  });
  return (
    <Page>
      <Head>
        <p>
          <span className="key">{item.key}</span>{" "}
          <span style={{ color: "var(--ink-2)", marginLeft: 10 }}>
            raised by {label("raised by") ?? "nobody known"}
          </span>
        </p>
        <h1>{item.title || "No title"}</h1>
        <p className="says">
          <i>A</i> {label("kind") ?? "thing"},{" "}
          <Change item={item} field="status" options={choices.status} current={field("status")!} />
          <i>;</i>{" "}
          <Change
            item={item}
            field="priority"
            options={choices.priority}
            current={field("priority")!}
            empty="no priority"
          />
          <i>, with</i>{" "}
          <Change
            item={item}
            field="assignee"
            options={choices.assignee}
            current={field("assignee")!}
            empty="nobody"
          />{" "}
          {label("team") && (
            <>
              <i>of</i> {label("team")}
            </>
          )}
          {due && (
            <>
              <i>, due</i> {longDayText(localDay(parseInstant(due)!, zone))}
              {isLate && <span className="late">late</span>}
            </>
          )}
        </p>
      </Head>
      <Body>
        <div>
          <section className="history">
            <h2>
              History{" "}
              <em>
                {item.moves.length === 0
                  ? "it has not moved yet"
                  : item.moves.length === 1
                    ? "1 move"
                    : `${item.moves.length} moves`}
              </em>
            </h2>
            <Lanes item={item} zone={zone} statuses={statuses} priorities={priorities} />
            {moves.length > 0 && (
              <div className="scroll" tabIndex={0} role="region" aria-label="Moves">
                <table>
                  <thead>
                    <tr>
                      <th>When</th>
                      <th>By</th>
                      <th>Move</th>
                    </tr>
                  </thead>
                  <tbody>
                    {moves.map((move, i) => (
                      <tr key={i}>
                        <td>{when(move.at)}</td>
                        <td>{move.by ?? "–"}</td>
                        <td>
                          <i>{move.field} from</i> {valueWords(move.field, move.from, when)}{" "}
                          <i>to</i> <b>{valueWords(move.field, move.to, when)}</b>
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            )}
          </section>
          <div className="around">
            <section>
              <h2>
                Comments <em>{item.comments.length || "none"}</em>
              </h2>
              {item.comments.map((comment, i) => (
                <div key={i} className="comment">
                  <small>
                    <b>{comment.by ?? "–"}</b> {when(comment.at)}
                    {comment.internal ? " · internal" : ""}
                  </small>
                  <p>{comment.text}</p>
                </div>
              ))}
            </section>
            <section>
              <h2>
                Links <em>{item.links.length || "none"}</em>
              </h2>
              {item.links.map((link, i) => (
                <div key={i} className="link">
                  <i>{link.outward ? link.link : `${link.link}, the other way`}</i>
                  <Link href={`/items/${encodeURIComponent(link.key)}`}>{link.key}</Link>
                  <span>{link.title}</span>
                </div>
              ))}
            </section>
          </div>
        </div>
        <aside className="fields" aria-label="Fields">
          <h2>What it is about</h2>
          {list([...pick(ABOUT), ...custom])}
          <h2>When</h2>
          {list(pick(WHEN))}
          {promises.length > 0 && (
            <>
              <h2>What is promised</h2>
              <dl>
                {promises.map(([which, words]) => (
                  <div key={which}>
                    <dt>{which}</dt>
                    <dd>{words}</dd>
                  </div>
                ))}
              </dl>
            </>
          )}
        </aside>
      </Body>
    </Page>
  );
}

const valueWords = (
  field: string,
  value: string | null,
  when: (iso: string | null) => string | null,
): string => (value === null ? "not set" : field === "due" ? (when(value) ?? value) : value);

/** An upright word of the item's sentence: choosing another value is one move; undo is the opposite one. */
function Change({
  item,
  field,
  options,
  current,
  empty,
}: {
  item: ItemPage;
  field: string;
  options: readonly Choice[];
  current: ItemField;
  empty?: string;
}) {
  const router = useRouter();
  const move = async (to: string | null, expected: string | null, isUndo = false) => {
    if (to === expected) return;
    try {
      const told = await ask("changeItems", {
        changes: [{ key: item.key, field, to, expected }],
      });
      if (told.left.length) {
        tell(`${item.key} was left as it is: ${told.left[0].why}.`);
        return router.refresh();
      }
      const words =
        to === null
          ? (empty ?? "not set")
          : (options.find((option) => String(option.id) === to)?.label ?? to);
      tell(
        `${field} is ${words} now.`,
        isUndo ? undefined : { words: "Undo", run: () => void move(expected, to, true) },
      );
    } catch (error) {
      tell((error as Error).message);
    }
    router.refresh();
  };
  if (!item.mayChange) return <span>{current.label ?? empty}</span>;
  return (
    <Opens
      label={`Change the ${field}`}
      placement="bottom start"
      maxHeight={340}
      button={
        <AriaButton
          className="part"
          aria-label={`${field}: ${current.label ?? empty ?? "not set"}. Change it`}
        >
          {current.label ?? empty}
        </AriaButton>
      }
    >
      {(close) => (
        <Choose<string | null>
          label={`Find a ${field}`}
          options={[
            ...(field === "status" ? [] : [{ value: null, label: empty ?? "not set" }]),
            ...options.map((option) => ({
              value: String(option.id),
              label: option.label,
              about: option.stage ?? "",
            })),
          ]}
          chosen={[current.value]}
          onChoose={(to) => {
            close();
            void move(to, current.value);
          }}
        />
      )}
    </Opens>
  );
}
