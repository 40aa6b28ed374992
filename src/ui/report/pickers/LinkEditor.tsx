"use client";
import { type AskContext } from "@/core/catalog";

import { type Leaf, type LinkTest } from "@/core/filter";
import { Choose } from "../../kit";
import { Halves } from "./parts";

export function LinkEditor({
  context,
  leaf,
  onSet,
}: {
  context: AskContext;
  leaf: LinkTest;
  onSet: (leaf: Leaf) => void;
}) {
  const side = `${leaf.no ? "no " : ""}${leaf.toIt ? "to" : "from"}`;
  const put = (next: string) =>
    onSet({
      kind: "link",
      link: leaf.link,
      ...(next.endsWith("to") ? { toIt: true } : {}),
      ...(next.startsWith("no ") ? { no: true } : {}),
    });
  return (
    <Halves>
      <div className="left">
        <Choose
          label="How"
          options={[
            ["from", "it has such a link"],
            ["to", "such a link leads to it"],
            ["no from", "it has no such link"],
            ["no to", "no such link leads to it"],
          ].map(([value, label]) => ({ value, label }))}
          chosen={[side]}
          onChoose={put}
        />
      </div>
      <Choose
        label="Link"
        options={context.catalog.links.map((link) => ({ value: link, label: link }))}
        chosen={[leaf.link]}
        onChoose={(link) => onSet({ ...leaf, link })}
      />
    </Halves>
  );
}
