import type { Dress } from "@/core/definition";
import { allOfParts, anyOfParts, type Condition, type Leaf } from "@/core/filter";

export type How = "all" | "any" | "none";

export interface GroupNode {
  readonly kind: "group";
  readonly how: How;
  readonly of: readonly Node[];
}

export type Node = GroupNode | { readonly kind: "leaf"; readonly leaf: Leaf; readonly off?: true };

export const JOINS: Record<How, string> = { all: "and", any: "or", none: "nor" };

export const HOWS: readonly (readonly [How, string])[] = [
  ["all", "all of"],
  ["any", "any of"],
  ["none", "none of"],
];

export const SAYS: Record<How, string> = {
  all: "these are so",
  any: "these is so",
  none: "these is so",
};

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

export const asGroup = (node: Node): GroupNode =>
  node.kind === "group" ? node : { kind: "group", how: "all", of: [node] };

export function toNode(condition: Condition): Node {
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

export function fromNode(node: Node): Condition | undefined {
  if (node.kind === "leaf") return node.off ? undefined : node.leaf;
  const parts = node.of.flatMap((one) => fromNode(one) ?? []);
  if (parts.length === 0) return undefined;
  if (node.how === "none") return { kind: "not", of: anyOfParts(parts)! };
  return node.how === "all" ? allOfParts(parts) : anyOfParts(parts);
}

export type Path = readonly number[];

export const at = (node: Node, path: Path): Node =>
  path.reduce<Node>((one, i) => (one as GroupNode).of[i], node);

export function change(node: Node, path: Path, make: (node: Node) => Node | null): Node | null {
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
