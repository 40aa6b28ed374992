"use client";
import { useAddress } from "../kit";

/** Which leaf of a room is seen, as its address says; the first one where it says nothing, or nothing that is there. */
export function useLeaf<L extends string>(
  leaves: Readonly<Record<L, string>>,
): [L, (leaf: L) => void] {
  const [first] = Object.keys(leaves) as L[];
  return useAddress<L>({
    name: "leaf",
    plain: first,
    read: (text) => (text in leaves ? (text as L) : first),
    write: (leaf) => (leaf === first ? null : leaf),
  });
}
