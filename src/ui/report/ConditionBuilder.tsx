"use client";
import { type Report } from "@/core/kinds";
import { useQuery } from "@tanstack/react-query";
import { GripVertical, X } from "lucide-react";
import { useMemo, useRef, useState, type KeyboardEvent } from "react";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import type { Dress } from "@/core/definition";
import { allOfParts, anyOfParts, type Condition, type Leaf } from "@/core/filter";
import { conditionText, leafText } from "@/core/sentence";

import { numberText } from "@/core/base";
import { ask, Button, Checkbox, Choice, Opens } from "../kit";
import { TestEditor } from "./pickers/TestEditor";
import { withWhere } from "./pickers/where";

const Frame = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 296px;
  flex: 1;
  min-height: 420px;
  background: var(--mallow);
  border-top: 3px solid var(--plum);
  margin: -16px -32px -12px;
  @media (max-width: 900px) {
    grid-template-columns: 1fr;
    margin: 0;
  }
  .tree {
    padding: 12px 22px 20px 34px;
    overflow: auto;
    min-width: 0;
  }
  .beside {
    background: var(--tide);
    padding: 12px 20px;
    overflow: auto;
    display: flex;
    flex-direction: column;
    gap: 8px;
    min-width: 0;
  }
  .group {
    border-left: 3px solid var(--ink);
    padding: 2px 0 4px 12px;
    margin: 2px 0;
  }
  .group.any {
    border-left: 3px dotted var(--ink);
    background: var(--mallow-2);
  }
  .group.none {
    border-left: 5px double var(--ink);
    background: var(--mallow-2);
  }
  .group .group.all {
    background: var(--mallow);
  }
  .head {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 32px;
  }
  .head em {
    color: var(--ink-3);
    font: italic 400 15px/20px var(--serif);
  }
  .head .acts {
    margin-left: auto;
    display: flex;
  }
  .line {
    display: grid;
    grid-template-columns: 34px 22px 22px minmax(0, 1fr) auto auto 28px;
    align-items: center;
    gap: 6px;
    min-height: 33px;
  }
  .line > .join {
    font: italic 400 16px/20px var(--serif);
    color: var(--ink-3);
    text-align: right;
  }
  .line .body {
    background: var(--salt);
    grid-column: 2 / -1;
    display: grid;
    grid-template-columns: subgrid;
    align-items: center;
    min-height: 31px;
    margin: 1px 0;
  }
  .line .body:focus-visible {
    outline: 3px solid var(--plum);
  }
  .test {
    font: 470 18px/26px var(--serif);
    text-align: left;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .n {
    color: var(--ink-2);
    font-size: 12.5px;
    padding: 0 6px;
  }
  .off .body {
    background: repeating-linear-gradient(45deg, var(--salt) 0 5px, var(--mallow-2) 5px 10px);
  }
  .grip {
    color: var(--plum);
    cursor: grab;
  }
  .big {
    font: 540 66px/0.95 var(--serif);
    letter-spacing: -0.03em;
  }
  .says {
    font: 400 16px/22px var(--serif);
  }
  ul li {
    display: grid;
    grid-template-columns: 62px minmax(0, 1fr);
    border-top: 1px solid var(--tide-2);
    padding: 4px 0;
  }
  ul b {
    color: var(--plum);
    font-weight: 650;
  }
  ul span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .foot {
    margin-top: auto;
    display: flex;
    gap: 8px;
    flex-wrap: wrap;
    padding-top: 10px;
  }
`;

type How = "all" | "any" | "none";
export interface GroupNode {
  readonly kind: "group";
  readonly how: How;
  readonly of: readonly Node[];
}
type Node = GroupNode | { readonly kind: "leaf"; readonly leaf: Leaf; readonly off?: true };

const JOINS: Record<How, string> = { all: "and", any: "or", none: "nor" };
const HOWS: readonly (readonly [How, string])[] = [
  ["all", "all of"],
  ["any", "any of"],
  ["none", "none of"],
];
const SAYS: Record<How, string> = { all: "these are so", any: "these is so", none: "these is so" };

/** A condition as groups of lines; what is switched off lies among those at the top. */
export function nodeOf(where: Condition | undefined, off: Dress["off"] = []): GroupNode {
  const root: GroupNode = where ? asGroup(toNode(where)) : { kind: "group", how: "all", of: [] };
  const of: Node[] = [...(root.how === "all" ? root.of : [root])];
  for (const one of [...off].sort((a, b) => a.at - b.at)) {
    const node = toNode(one.where);
    of.splice(Math.min(one.at, of.length), 0, node.kind === "leaf" ? { ...node, off: true } : node);
  }
  return { kind: "group", how: "all", of };
}

const asGroup = (node: Node): GroupNode =>
  node.kind === "group" ? node : { kind: "group", how: "all", of: [node] };

function toNode(condition: Condition): Node {
  if (condition.kind === "all" || condition.kind === "any")
    return { kind: "group", how: condition.kind, of: condition.of.map(toNode) };
  if (condition.kind === "not") {
    const inner = toNode(condition.of);
    return inner.kind === "group" && inner.how === "any"
      ? { ...inner, how: "none" }
      : { kind: "group", how: "none", of: [inner] };
  }
  return { kind: "leaf", leaf: condition };
}

/** The condition that the lines say, and what of them is switched off. */
export function conditionOf(root: GroupNode): { where: Condition | undefined; off: Dress["off"] } {
  const off = root.of.flatMap((node, at) =>
    node.kind === "leaf" && node.off ? [{ at, where: node.leaf as Condition }] : [],
  );
  return { where: fromNode(root), off };
}

function fromNode(node: Node): Condition | undefined {
  if (node.kind === "leaf") return node.off ? undefined : node.leaf;
  const parts = node.of.flatMap((one) => fromNode(one) ?? []);
  if (parts.length === 0) return undefined;
  if (node.how === "none") return { kind: "not", of: anyOfParts(parts)! };
  return node.how === "all" ? allOfParts(parts) : anyOfParts(parts);
}

type Path = readonly number[];
const at = (node: Node, path: Path): Node =>
  path.reduce<Node>((one, i) => (one as GroupNode).of[i], node);
function change(node: Node, path: Path, make: (node: Node) => Node | null): Node | null {
  if (path.length === 0) return make(node);
  const group = node as GroupNode;
  const next = change(group.of[path[0]], path.slice(1), make);
  return {
    ...group,
    of: next
      ? group.of.map((one, i) => (i === path[0] ? next : one))
      : group.of.filter((_, i) => i !== path[0]),
  };
}

interface BuilderProps {
  readonly context: AskContext;
  readonly report: Report;
  readonly dress: Dress;
  readonly onChange: (report: Report, dress: Dress) => void;
  readonly onDone: () => void;
  readonly onSaveFilter?: () => void;
}

/** Conditions in nested groups: all of, any of, none of. Joining words stand before each line, so the block reads aloud. */
export function ConditionBuilder({
  context,
  report,
  dress,
  onChange,
  onDone,
  onSaveFilter,
}: BuilderProps) {
  const [first] = useState({ report, dress });
  const [root, setRoot] = useState<GroupNode>(() => nodeOf(report.where, dress.off));
  const frame = useRef<HTMLDivElement>(null);
  const set = (next: Node | null) => {
    const group = next ? asGroup(next) : { kind: "group" as const, how: "all" as const, of: [] };
    setRoot(group);
    const { where, off } = conditionOf(group);
    onChange(withWhere(report, where), { ...dress, off });
  };
  const focus = (path: Path) =>
    setTimeout(
      () => frame.current?.querySelector<HTMLElement>(`[data-path="${path.join(".")}"]`)?.focus(),
      30,
    );
  const move = (path: Path, by: number) => {
    const parent = at(root, path.slice(0, -1)) as GroupNode;
    const i = path[path.length - 1];
    if (i + by < 0 || i + by >= parent.of.length) return;
    const of = [...parent.of];
    [of[i], of[i + by]] = [of[i + by], of[i]];
    set(change(root, path.slice(0, -1), () => ({ ...parent, of })));
    focus([...path.slice(0, -1), i + by]);
  };
  const onKey = (path: Path) => (event: KeyboardEvent) => {
    if (event.target !== event.currentTarget) return;
    const lines = [...(frame.current?.querySelectorAll<HTMLElement>("[data-path]") ?? [])];
    const here = lines.indexOf(event.currentTarget as HTMLElement);
    const run = (act: () => void) => {
      event.preventDefault();
      act();
    };
    if (event.key === "ArrowDown")
      run(() => (event.ctrlKey ? move(path, 1) : lines[here + 1]?.focus()));
    else if (event.key === "ArrowUp")
      run(() => (event.ctrlKey ? move(path, -1) : lines[here - 1]?.focus()));
    else if (event.key.toLowerCase() === "g")
      run(() => set(change(root, path, (node) => ({ kind: "group", how: "any", of: [node] }))));
    else if (event.key === "Delete") run(() => set(change(root, path, () => null)));
  };
  const isReader = (leaf: Leaf) =>
    leaf.kind === "test" && dress.readers.some((one) => one.field === leaf.field.join("/"));
  const toggleReader = (leaf: Leaf, on: boolean) => {
    if (leaf.kind !== "test") return;
    const field = leaf.field.join("/");
    onChange(report, {
      ...dress,
      readers: on
        ? [...dress.readers, { field }]
        : dress.readers.filter((one) => one.field !== field),
    });
  };
  const group = (node: GroupNode, path: Path) => (
    <div className={`group ${node.how}`} role="group" aria-label={`${node.how} of`}>
      <div className="head">
        <Choice<How>
          hideLabel
          label="How they join"
          value={node.how}
          options={HOWS}
          isDisabled={path.length === 0 && node.how === "all" && node.of.length === 0}
          onChange={(how) =>
            set(
              path.length === 0
                ? { kind: "group", how: "all", of: [{ ...node, how }] }
                : change(root, path, (one) => ({ ...(one as GroupNode), how })),
            )
          }
        />
        <em>{SAYS[node.how]}</em>
        <span className="acts">
          <Opens
            label="A condition"
            placement="bottom end"
            button={<Button $small>+ Condition</Button>}
          >
            {(close) => (
              <TestEditor
                context={context}
                report={withWhere(report, undefined)}
                except={null}
                leaf={null}
                onLeaf={(leaf) =>
                  set(
                    change(root, path, (one) => ({
                      ...(one as GroupNode),
                      of: [...(one as GroupNode).of, { kind: "leaf", leaf }],
                    })),
                  )
                }
                onDone={close}
              />
            )}
          </Opens>
          <Button
            $small
            onPress={() =>
              set(
                change(root, path, (one) => ({
                  ...(one as GroupNode),
                  of: [
                    ...(one as GroupNode).of,
                    { kind: "group", how: node.how === "any" ? "all" : "any", of: [] },
                  ],
                })),
              )
            }
          >
            Group
          </Button>
          {path.length > 0 && (
            <Button
              $small
              $icon
              aria-label="Take the group out"
              onPress={() => set(change(root, path, () => null))}
            >
              <X aria-hidden />
            </Button>
          )}
        </span>
      </div>
      {node.of.map((one, i) =>
        one.kind === "group" ? (
          <div key={i} style={{ display: "grid", gridTemplateColumns: "34px minmax(0, 1fr)" }}>
            <span
              style={{
                font: "italic 400 16px/32px var(--serif)",
                color: "var(--ink-3)",
                textAlign: "right",
                paddingRight: 6,
              }}
            >
              {i > 0 ? JOINS[node.how] : ""}
            </span>
            {group(one, [...path, i])}
          </div>
        ) : (
          <div key={i} className={`line${one.off ? " off" : ""}`}>
            <span className="join">{i > 0 ? JOINS[node.how] : ""}</span>
            <div
              className="body"
              tabIndex={0}
              data-path={[...path, i].join(".")}
              onKeyDown={onKey([...path, i])}
              role="group"
              aria-label={`${leafText(one.leaf, context.catalog, report.subject.id)}${one.off ? ", switched off" : ""}. Arrows move, Ctrl and arrows move the line, G makes a group, Delete takes it out`}
            >
              <GripVertical className="grip" size={16} aria-hidden />
              {path.length === 0 ? (
                <Checkbox
                  aria-label="Switched on"
                  isSelected={!one.off}
                  onChange={(on) =>
                    set(
                      change(root, [...path, i], (was) => {
                        const { off: _off, ...leaf } = was as Node & { kind: "leaf" };
                        return on ? leaf : { ...leaf, off: true };
                      }),
                    )
                  }
                />
              ) : (
                <span />
              )}
              <Opens
                label="Condition"
                placement="bottom start"
                button={
                  <Button
                    style={{
                      justifyContent: "flex-start",
                      color: "var(--ink)",
                      fontWeight: 400,
                      padding: "0 4px",
                      minWidth: 0,
                    }}
                  >
                    <span className="test">
                      {leafText(one.leaf, context.catalog, report.subject.id)}
                      {one.off ? (
                        <small style={{ font: "400 12.5px/16px var(--sans)", marginLeft: 8 }}>
                          switched off
                        </small>
                      ) : null}
                    </span>
                  </Button>
                }
              >
                {(close) => (
                  <TestEditor
                    context={context}
                    report={withWhere(report, undefined)}
                    except={null}
                    leaf={one.leaf}
                    onLeaf={(leaf) =>
                      set(
                        change(root, [...path, i], (was) => ({
                          ...(was as Node & { kind: "leaf" }),
                          leaf,
                        })),
                      )
                    }
                    onTakeOut={() => {
                      set(change(root, [...path, i], () => null));
                      close();
                    }}
                    onDone={close}
                  />
                )}
              </Opens>
              {path.length === 0 && one.leaf.kind === "test" && !one.off ? (
                <Checkbox
                  isSelected={isReader(one.leaf)}
                  onChange={(on) => toggleReader(one.leaf, on)}
                >
                  <small style={{ fontSize: 12.5 }}>
                    {isReader(one.leaf) ? "readers choose" : "readers may"}
                  </small>
                </Checkbox>
              ) : (
                <span />
              )}
              <LineCount report={report} leaf={one.leaf} />
              <Button
                $small
                $icon
                aria-label="Take it out"
                onPress={() => set(change(root, [...path, i], () => null))}
              >
                <X aria-hidden />
              </Button>
            </div>
          </div>
        ),
      )}
      {node.of.length === 0 && (
        <p style={{ color: "var(--ink-2)", padding: "4px 0 6px 34px" }}>
          Nothing here yet: add a condition.
        </p>
      )}
    </div>
  );
  return (
    <Frame aria-label="Conditions in groups" ref={frame as never}>
      <div className="tree">{group(root, [])}</div>
      <Beside report={report} context={context}>
        <Button $look="solid" onPress={onDone}>
          Done
        </Button>
        {onSaveFilter && report.where && <Button onPress={onSaveFilter}>Save as filter</Button>}
        <Button
          onPress={() => {
            setRoot(nodeOf(first.report.where, first.dress.off));
            onChange(withWhere(report, first.report.where), {
              ...dress,
              off: first.dress.off,
              readers: first.dress.readers,
            });
          }}
        >
          Put back
        </Button>
      </Beside>
    </Frame>
  );
}

/** How many records hold a line by itself. */
function LineCount({ report, leaf }: { report: Report; leaf: Leaf }) {
  const one = useMemo(
    (): Report => ({ kind: "list", subject: report.subject, showing: [], sorts: [], where: leaf }),
    [report.subject, leaf],
  );
  const { data } = useQuery({
    queryKey: ["line", one],
    queryFn: ({ signal }) =>
      ask("records", { definition: one, showing: [], sorts: [], offset: 0, limit: 1 }, signal),
    staleTime: 60_000,
  });
  return <span className="n">{data ? numberText(data.count) : ""}</span>;
}

/** What fits now, the first of it, and what it would be without each condition. */
function Beside({
  report,
  context,
  children,
}: {
  report: Report;
  context: AskContext;
  children: React.ReactNode;
}) {
  const list = useMemo(
    (): Report => ({
      kind: "list",
      subject: report.subject,
      showing: [],
      sorts: [],
      ...(report.where ? { where: report.where } : {}),
    }),
    [report.subject, report.where],
  );
  const keyed = report.subject.id === "items" ? [["title"]] : [];
  const { data } = useQuery({
    queryKey: ["beside", list],
    queryFn: ({ signal }) =>
      ask("records", { definition: list, showing: keyed, sorts: [], offset: 0, limit: 12 }, signal),
  });
  const { data: without } = useQuery({
    queryKey: ["emptied", list],
    queryFn: ({ signal }) => ask("emptied", { definition: list }, signal),
    enabled: Boolean(report.where),
  });
  const parts = report.where?.kind === "all" ? report.where.of : report.where ? [report.where] : [];
  return (
    <div className="beside" aria-live="polite">
      <p>
        <span className="big">{data ? numberText(data.count) : "…"}</span>{" "}
        <span style={{ color: "var(--ink-2)" }}>
          {context.catalog.countedWords(report.subject, data?.count ?? 0)} fit now
        </span>
      </p>
      {without && without.length > 0 && parts.length > 1 && (
        <p className="says">
          Without{" "}
          {without.slice(0, 2).map(({ index, without: n }, i) => (
            <span key={index}>
              {i > 0 ? "; without " : ""}
              <i>{conditionText(parts[index], context.catalog, report.subject.id)}</i> it would be{" "}
              <b>{numberText(n)}</b>
            </span>
          ))}
          .
        </p>
      )}
      <ul>
        {data?.rows.map((row) => (
          <li key={row.id}>
            <b>{row.key}</b>
            <span>{row.cells[0]}</span>
          </li>
        ))}
      </ul>
      <div className="foot">{children}</div>
    </div>
  );
}
