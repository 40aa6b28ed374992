import type { Mark } from "@/core/figure";
import { afterEvent, enterRoom, type RoomEvent, type RoomState } from "./roomState";

const bare = enterRoom(null);
const mark = { path: ["v1"], label: "high", value: 3 } as unknown as Mark;
const problem = { code: "sentence.word", message: "say where" };
const room = (more: Partial<RoomState>): RoomState => ({ ...bare, ...more });

const TABLE: readonly (readonly [string, RoomState, RoomEvent, RoomState])[] = [
  [
    "typing begins with what the parts say",
    bare,
    { kind: "typing began", says: "count items" },
    room({ typing: "count items" }),
  ],
  [
    "back to parts forgets what did not read",
    room({ typing: "count itmes", problem }),
    { kind: "typing ended" },
    bare,
  ],
  ["what does not read is said", bare, { kind: "typed", problem }, room({ problem })],
  ["and gone when it reads", room({ problem }), { kind: "typed", problem: null }, bare],
  [
    "a mark opens its records",
    bare,
    { kind: "mark opened", mark },
    room({ opened: mark, tab: "records" }),
  ],
  [
    "also from the workings",
    room({ tab: "workings" }),
    { kind: "mark opened", mark },
    room({ opened: mark, tab: "records" }),
  ],
  [
    "a comparison goes on with the mark",
    room({ tab: "compare" }),
    { kind: "mark opened", mark },
    room({ opened: mark, tab: "compare" }),
  ],
  [
    "all records again leave the drawer open",
    room({ opened: mark, tab: "records" }),
    { kind: "all shown" },
    room({ tab: "records" }),
  ],
  ["a key opens a tab", bare, { kind: "tab pressed", tab: "workings" }, room({ tab: "workings" })],
  ["and closes it", room({ tab: "workings" }), { kind: "tab pressed", tab: "workings" }, bare],
  [
    "or goes to another",
    room({ tab: "workings" }),
    { kind: "tab pressed", tab: "records" },
    room({ tab: "records" }),
  ],
  [
    "another report closes what was open of this one, and no more",
    room({ opened: mark, stretch: { from: 1, to: 2 }, tab: "records", asTable: true }),
    { kind: "report changed" },
    room({ tab: "records", asTable: true }),
  ],
  ["the table turns", bare, { kind: "table turned" }, room({ asTable: true })],
  ["and back", room({ asTable: true }), { kind: "table turned" }, bare],
  [
    "a dialog keeps what it is about",
    bare,
    { kind: "dialog opened", dialog: { kind: "download", part: undefined } },
    room({ dialog: { kind: "download", part: undefined } }),
  ],
  [
    "one dialog at a time",
    room({ dialog: { kind: "share" } }),
    { kind: "dialog opened", dialog: { kind: "mail" } },
    room({ dialog: { kind: "mail" } }),
  ],
  ["and none", room({ dialog: { kind: "share" } }), { kind: "dialog closed" }, bare],
  ["groups open", bare, { kind: "groups opened" }, room({ showsGroups: true })],
  ["groups close", room({ showsGroups: true }), { kind: "groups closed" }, bare],
  ["by the clock", bare, { kind: "pace chosen", pace: "clock" }, room({ pace: "clock" })],
  [
    "with the likelihood",
    bare,
    { kind: "likelihood turned", on: true },
    room({ showsLikelihood: true }),
  ],
];

test.each(TABLE)("%s", (_says, before, event, after) => {
  expect(afterEvent(before, event)).toEqual(after);
});

test("a sentence that does not read is typed on", () => {
  expect(enterRoom("count faults were")).toEqual(room({ typing: "count faults were" }));
});
