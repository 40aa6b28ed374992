"use client";
import type { ReactNode } from "react";
import type { RoomBoards as RoomBoardsFacts, RoomOf } from "@/contract/rooms";
import { BriefingsLeaf } from "../briefings";
import { useSaidOpening } from "../said";
import { OpenItems } from "./OpenItems";
import { RoomBoards } from "./RoomBoards";
import type { ThingLeafId } from "./thingLeaves";

interface ThingLeafProps {
  readonly of: RoomOf;
  readonly leaf: ThingLeafId;
  readonly boards: RoomBoardsFacts;
  /** The local day at whose end it is seen; "" for now. */
  readonly stood: string;
  readonly mayKeep: boolean;
}

/** A leaf that the room of any sprint or release has: its boards, what is open, its briefings. */
export function ThingLeaf({ of, leaf, boards, stood, mayKeep }: ThingLeafProps) {
  const { open, records } = useSaidOpening({ thing: of.kind, id: of.id });
  const bodies: Readonly<Record<ThingLeafId, () => ReactNode>> = {
    board: () => <RoomBoards given={boards} {...{ open, stood }} />,
    items: () => <OpenItems {...{ of, open, stood }} />,
    briefings: () => <BriefingsLeaf of={{ kind: of.kind, target: of.id }} mayKeep={mayKeep} />,
  };
  return (
    <>
      {bodies[leaf]()}
      {records}
    </>
  );
}
