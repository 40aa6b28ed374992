import { parseSentence } from "../kinds";
import { EXPORT_IDS, exportFormats, fileName, whyNotExported } from ".";

import { sampleContext } from "../../../tests/support/sample";

const reportOf = (sentence: string) => {
  const parsed = parseSentence(sentence, sampleContext());
  if (!parsed.ok) throw new Error(sentence);
  return parsed.value;
};

test.each(EXPORT_IDS)("%s says what it holds and takes a drawn report", (id) => {
  expect(exportFormats[id].holds.length).toBeGreaterThan(0);
  expect(whyNotExported(id, reportOf("count items by priority as bars"))).toBeNull();
});
test("what is no drawing has no SVG, and what has no picture no PNG", () => {
  expect(whyNotExported("svg", reportOf("list items as list"))).toMatch(/not a drawing/);
  expect(whyNotExported("png", reportOf("count items by priority"))).toMatch(/choose a picture/);
});
test("file names are plain", () => {
  expect(fileName('Open faults / "P1" & co: é', "csv")).toBe("Open-faults-P1-co-é.csv");
  expect(fileName("///", "pdf")).toBe("report.pdf");
});
