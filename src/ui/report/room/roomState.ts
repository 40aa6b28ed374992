import type { OpenedPart } from "@/contract/figures";
import type { Problem } from "@/core/base";
import type { Mark } from "@/core/figure";
import type { DrawerTab } from "../Drawer";
import type { Stretch } from "../explore";

/** What is open over the room. */
export type RoomDialog =
  | { readonly kind: "share" | "mail" | "versions" | "filter" }
  | { readonly kind: "download"; readonly part: OpenedPart | undefined };

/** What one sees of a report in its room, beside the report itself. */
export interface RoomState {
  /** The sentence as typing began, while it is typed. */
  readonly typing: string | null;
  /** Why what is typed does not read; the last good figure stands meanwhile. */
  readonly problem: Problem | null;
  readonly showsGroups: boolean;
  readonly asTable: boolean;
  readonly showsDress: boolean;
  /** The part of the figure whose records are open. */
  readonly opened: Mark | null;
  readonly tab: DrawerTab | null;
  /** What is marked of a trend. */
  readonly stretch: Stretch | null;
  readonly dialog: RoomDialog | null;
  readonly pace: "working" | "clock";
  readonly showsLikelihood: boolean;
}

export type RoomEvent =
  | { readonly kind: "typing began"; readonly says: string }
  | { readonly kind: "typing ended" }
  | { readonly kind: "typed"; readonly problem: Problem | null }
  | { readonly kind: "mark opened"; readonly mark: Mark }
  | { readonly kind: "all shown" }
  | { readonly kind: "tab pressed"; readonly tab: DrawerTab }
  | { readonly kind: "tab chosen"; readonly tab: DrawerTab | null }
  | { readonly kind: "stretch marked"; readonly stretch: Stretch | null }
  | { readonly kind: "report changed" }
  | { readonly kind: "table turned" }
  | { readonly kind: "groups opened" | "groups closed" }
  | { readonly kind: "dress opened" }
  | { readonly kind: "pace chosen"; readonly pace: RoomState["pace"] }
  | { readonly kind: "likelihood turned"; readonly on: boolean }
  | { readonly kind: "dialog opened"; readonly dialog: RoomDialog }
  | { readonly kind: "dialog closed" };

/** The room as it is entered: with the parts of the sentence, or with a sentence that does not read yet. */
export const enterRoom = (unread: string | null): RoomState => ({
  typing: unread,
  problem: null,
  showsGroups: false,
  asTable: false,
  showsDress: false,
  opened: null,
  tab: null,
  stretch: null,
  dialog: null,
  pace: "working",
  showsLikelihood: false,
});

export function afterEvent(room: RoomState, event: RoomEvent): RoomState {
  switch (event.kind) {
    case "typing began":
      return { ...room, typing: event.says };
    case "typing ended":
      return { ...room, typing: null, problem: null };
    case "typed":
      return { ...room, problem: event.problem };
    case "mark opened":
      // Its records show, whatever was open in the drawer; the comparison of a part stays one.
      return {
        ...room,
        opened: event.mark,
        tab: room.tab === null || room.tab === "workings" ? "records" : room.tab,
      };
    case "all shown":
      return { ...room, opened: null };
    case "tab pressed":
      return { ...room, tab: room.tab === event.tab ? null : event.tab };
    case "tab chosen":
      return { ...room, tab: event.tab };
    case "stretch marked":
      return { ...room, stretch: event.stretch };
    case "report changed":
      // A part of another figure is no part of this one.
      return { ...room, opened: null, stretch: null };
    case "table turned":
      return { ...room, asTable: !room.asTable };
    case "groups opened":
      return { ...room, showsGroups: true };
    case "groups closed":
      return { ...room, showsGroups: false };
    case "dress opened":
      return { ...room, showsDress: true };
    case "pace chosen":
      return { ...room, pace: event.pace };
    case "likelihood turned":
      return { ...room, showsLikelihood: event.on };
    case "dialog opened":
      return { ...room, dialog: event.dialog };
    case "dialog closed":
      return { ...room, dialog: null };
  }
}
