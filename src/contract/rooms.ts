import { z } from "zod";
import { act } from "./act";
import type { ReadPart } from "./briefings";
import type { KeptDashboard } from "./dashboards";

/** What has a room of its own, with boards bound to it. */
export const ROOM_KINDS = ["project", "sprint", "release"] as const;
export type RoomKind = (typeof ROOM_KINDS)[number];

/** The thing that a room is of. */
export interface RoomOf {
  readonly kind: RoomKind;
  readonly id: number;
}

/** The dashboards of a room: what all rooms of its like show, and what it shows beside that. */
export interface RoomBoards {
  readonly of: RoomOf & { readonly name: string };
  readonly boards: readonly (KeptDashboard & { readonly isOwn: boolean })[];
  /** What it is like: "projects of the type refit", "sprints of Booking site". */
  readonly alike: string;
  readonly maySetAlike: boolean;
  readonly maySetOwn: boolean;
  /** Those that it may be set to show; none for who may set nothing. */
  readonly offered: readonly { readonly id: number; readonly name: string }[];
}

/** A release among others; days are local ones. */
export interface ReleaseLine {
  readonly id: number;
  readonly name: string;
  /** Null also for a project that the viewer does not see. */
  readonly project: string | null;
  readonly starts: string | null;
  readonly due: string | null;
  readonly released: string | null;
  readonly stage: "ahead" | "under way" | "late" | "released";
}

/** A release as its room shows it. */
export interface ShownRelease {
  /** Its texts and lists, made as those of a briefing. */
  readonly parts: readonly ReadPart[];
}

export const roomActs = {
  release: act(
    z.strictObject({ release: z.int(), stood: z.iso.date().optional() }),
  ).answers<ShownRelease>(),
  /** Which dashboard all rooms of its like show (by administrators), or one room (by who leads it); null: none. */
  setRoomBoard: act(
    z.strictObject({
      of: z.strictObject({ kind: z.enum(ROOM_KINDS), id: z.int() }),
      isOwn: z.boolean(),
      dashboard: z.int().nullable(),
    }),
  ).answers<true>(),
};
