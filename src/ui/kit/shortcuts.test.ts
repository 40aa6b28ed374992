import { keysOf, shortcutFor, shortcutLines, type Shortcut } from "./shortcuts";

const press = (key: string, held: Partial<KeyboardEvent> = {}) => ({
  key,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  altKey: false,
  ...held,
});
const room: readonly Shortcut[] = [
  { keys: "t", says: "the table", run: () => undefined },
  { keys: "ctrl+s", says: "save", run: () => undefined, whileTyping: true },
  { keys: "ctrl+z", shown: "Ctrl Z, Ctrl Shift Z", says: "undo, redo", run: () => undefined },
  { keys: "ctrl+shift+z", shown: "Ctrl Z, Ctrl Shift Z", says: "undo, redo", run: () => undefined },
  { keys: "arrows", shown: "Arrows on a tile", says: "move it" },
];

describe("keys as they are written", () => {
  test.each([
    [press("T"), "t"],
    [press("z", { ctrlKey: true }), "ctrl+z"],
    [press("Z", { metaKey: true, shiftKey: true }), "ctrl+shift+z"],
    [press("?", { shiftKey: true }), "?"],
    [press("Escape"), "escape"],
  ])("%o is %s", (event, keys) => expect(keysOf(event)).toBe(keys));
});

describe("what a key runs", () => {
  test("only what is registered for it, and never with Alt", () => {
    expect(shortcutFor(press("t"), false, [room])?.says).toBe("the table");
    expect(shortcutFor(press("t", { altKey: true }), false, [room])).toBeUndefined();
    expect(shortcutFor(press("t", { ctrlKey: true }), false, [room])).toBeUndefined();
    expect(shortcutFor(press("arrows"), false, [room])).toBeUndefined();
  });
  test("while typing only what says so", () => {
    expect(shortcutFor(press("t"), true, [room])).toBeUndefined();
    expect(shortcutFor(press("s", { ctrlKey: true }), true, [room])?.says).toBe("save");
  });
  test("the room comes before what works everywhere", () => {
    const above: Shortcut[] = [{ keys: "t", says: "another", run: () => undefined }];
    expect(shortcutFor(press("t"), false, [above, room])?.says).toBe("another");
  });
});

test("the page of keys has a line for each, joined where they are shown together", () => {
  expect(shortcutLines([room])).toEqual([
    { keys: "T", says: "the table" },
    { keys: "Ctrl S", says: "save" },
    { keys: "Ctrl Z, Ctrl Shift Z", says: "undo, redo" },
    { keys: "Arrows on a tile", says: "move it" },
  ]);
});
