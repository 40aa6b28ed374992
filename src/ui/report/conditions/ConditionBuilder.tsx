"use client";
import { type Report } from "@/core/kinds";
import { GripVertical, X } from "lucide-react";
import { useRef, useState, type KeyboardEvent } from "react";
import type { AskContext } from "@/core/catalog";
import type { Dress } from "@/core/definition";
import { type Leaf } from "@/core/filter";
import { leafText } from "@/core/sentence";
import { Button, Checkbox, Choice, Opens } from "../../kit";
import { TestEditor } from "../pickers/TestEditor";
import { withWhere } from "../pickers/where";
import {
  type How,
  type GroupNode,
  type Node,
  JOINS,
  HOWS,
  SAYS,
  nodeOf,
  asGroup,
  conditionOf,
  type Path,
  at,
  change,
} from "./tree";
import { LineCount, Beside } from "./Beside";
import { Frame } from "./builderStyle";

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
