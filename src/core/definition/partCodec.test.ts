import fc from "fast-check";
import { groupParts, partCodec } from ".";

const arbitraryPart = (forms: typeof groupParts.forms) =>
  fc.constantFrom(...Object.entries(forms)).chain(([kind, form]) => {
    const takes = "takes" in form ? form.takes : undefined;
    if (takes === "index") return fc.nat(999_999).map((index) => ({ kind, index }));
    return takes === "text" ? fc.string().map((value) => ({ kind, value })) : fc.constant({ kind });
  });

test("a group is the same after it was written and read", () =>
  fc.assert(
    fc.property(arbitraryPart(groupParts.forms), (part) => {
      expect(groupParts.read(groupParts.write(part as never))).toEqual(part);
    }),
  ));

test.each(["", "f", "fx", "f-1", "g1.5", "c99999999999", "x3", "rest"])(
  "%j tells no group",
  (text) => expect(groupParts.read(text)).toBeNull(),
);

test("a word alone is told before a letter with a text behind it", () => {
  const parts = partCodec({ out: { sign: "out" }, other: { sign: "o", takes: "text" } });
  expect(parts.read("out")).toEqual({ kind: "out" });
  expect(parts.read("oval")).toEqual({ kind: "other", value: "val" });
});
