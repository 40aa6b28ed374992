import fc from "fast-check";
import { isOwnPath } from "./ownPath";

test.each(["/", "/reports/1", "/reports/new?s=count%20faults&r=1#a", "/items/D%201"])(
  "%s is a path of our own",
  (address) => expect(isOwnPath(address)).toBe(true),
);
test.each([
  "",
  "//host",
  "/\\host",
  "/\t/host",
  "/\n/host",
  "https://host/",
  "javascript:alert(1)",
  "reports",
  "/a\\b",
  " /a",
])("%j is none", (address) => expect(isOwnPath(address)).toBe(false));
test("whatever passes stays with us, as browsers read it", () => {
  const pieces = fc.constantFrom(
    "/",
    "\\",
    "\t",
    "\n",
    "host",
    "a",
    ".",
    "@",
    ":",
    "?",
    "#",
    "%2f",
  );
  fc.assert(
    fc.property(fc.array(pieces, { maxLength: 8 }), (parts) => {
      const address = `/${parts.join("")}`;
      if (isOwnPath(address))
        expect(new URL(address, "https://ours.example").origin).toBe("https://ours.example");
    }),
  );
});
