import { takeBegun } from "./begun";

test("what came with the page is taken once", async () => {
  const begun = Promise.resolve(3);
  expect(await takeBegun(begun)).toBe(3);
  expect(await takeBegun(begun)).toBeNull();
});

test("what could not be answered is asked again", async () => {
  expect(await takeBegun(Promise.resolve(null))).toBeNull();
  expect(await takeBegun(Promise.reject(new Error("broken off")))).toBeNull();
  expect(await takeBegun(undefined)).toBeNull();
});
