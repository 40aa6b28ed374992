"use client";
import type { ItemField, ItemPage } from "@/contract/items";
import { durationWords, hoursWords } from "@/core/base";
import { clockText, localDay, longDayText, parseInstant } from "@/core/time";
import Link from "next/link";
import { Page } from "../kit";
import { Lanes } from "./Lanes";
import { Head, Body } from "./itemStyle";
import { type Choice, Change } from "./Change";

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
