import fc from "fast-check";
import { Exact } from "../base";
import {
  capital,
  counted,
  joinedClauses,
  listed,
  moneyWords,
  noneOr,
  percentWords,
  shortDay,
  spokenDay,
  withArticle,
} from "./words";
import { wordsOf, type Run } from "./text";

const plain = (text: string): string => text.replace(/[\u2009\u202f\u00a0]/g, " ");
const read = (runs: readonly Run[]): string => runs.map(wordsOf).join("");

test.each([
  ["93.4", "93 %"],
  ["99.96", "almost 100 %"],
  ["100.04", "just over 100 %"],
  ["100", "100 %"],
  ["0.2", "just over 0 %"],
  ["-0.2", "almost 0 %"],
  ["104.4", "104 %"],
])("%s percent reads %s", (percent, words) => expect(plain(percentWords(percent))).toBe(words));

test("a rounded percentage never says that a limit is reached when it is not", () =>
  fc.assert(
    fc.property(fc.integer({ min: -20_000, max: 20_000 }), (hundredths) => {
      const words = percentWords(new Exact(hundredths).div(100));
      if (/^100\s%$/.test(words)) expect(hundredths).toBe(10_000);
      if (/^0\s%$/.test(words)) expect(hundredths).toBe(0);
    }),
  ));

test.each([
  ["1617.5", "EUR", "entry", "€1 617.50"],
  ["40000", "EUR", "plan", "€40 000"],
  ["40000.5", "EUR", "plan", "€40 000.50"],
  ["-60", "EUR", "entry", "\u2212€60.00"],
  ["1200", "JPY", "entry", "¥1 200"],
  ["12", "CHF", "entry", "CHF 12.00"],
  ["12", "nothing known", "entry", "nothing known 12.00"],
] as const)("%s %s as %s reads %s", (amount, currency, form, words) =>
  expect(plain(moneyWords(amount, currency, form))).toBe(words),
);

test("none, one and many are grammatical", () => {
  expect([0, 1, 2].map((n) => counted(n, "item"))).toEqual(["0 items", "1 item", "2 items"]);
  expect(counted(new Exact("1"), "time entry", "time entries")).toBe("1 time entry");
  expect([0, 1].map(noneOr)).toEqual(["none", "1"]);
  expect([withArticle("refit"), withArticle("order")]).toEqual(["a refit", "an order"]);
});

test("lists and clauses are joined as they are spoken", () => {
  const parts = [["a"], ["b"], ["c"]];
  expect([1, 2, 3].map((n) => read(listed(parts.slice(0, n))))).toEqual([
    "a",
    "a and b",
    "a, b and c",
  ]);
  expect(read(joinedClauses(parts))).toBe("a, b, and c");
  expect(read(capital(["it is ", { strong: "late" }]))).toBe("It is late");
  expect(capital([])).toEqual([]);
});

test("a day has its year where that is another one", () => {
  expect(shortDay("2026-11-20", "2026-12-01")).toBe("20 Nov");
  expect(shortDay("2027-01-02", "2026-12-01")).toBe("2 Jan 2027");
  expect(spokenDay("2026-10-31", "2026-11-24")).toBe("31 October");
});
