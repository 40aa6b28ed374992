import { tickNames } from "./tickNames";

test.each([
  [["Booking sprint 49", "Booking sprint 50"], "Booking sprint", ["49", "50"]],
  [
    ["Landing systems", "Landing crew", "Landing"],
    "",
    ["Landing systems", "Landing crew", "Landing"],
  ],
  [["Engine shop", "Service desk"], "", ["Engine shop", "Service desk"]],
  [["P1", "P2"], "", ["P1", "P2"]],
  [["Booking sprint 49"], "", ["Booking sprint 49"]],
  [[], "", []],
])("%j: what all begin with is said once", (names, common, own) => {
  const told = tickNames(names);
  expect(told.common).toBe(common);
  expect(names.map(told.of)).toEqual(own);
});
