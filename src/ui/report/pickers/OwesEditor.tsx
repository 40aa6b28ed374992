"use client";
import styled from "styled-components";
import type { AskContext } from "@/core/catalog";
import type { Leaf, Owes } from "@/core/filter";
import { PeriodField } from "./PeriodField";

const Weeks = styled.div`
  width: 320px;
  padding: 12px 14px 8px;
`;

/** For which weeks a project owes a weekly word. */
export function OwesEditor({
  context,
  leaf,
  onSet,
}: {
  context: AskContext;
  leaf: Owes;
  onSet: (leaf: Leaf) => void;
}) {
  return (
    <Weeks>
      <PeriodField
        context={context}
        label="For the weeks that begin in"
        period={leaf.during}
        onPeriod={(during) => during && onSet({ kind: "owes", during })}
      />
    </Weeks>
  );
}
