// What projects come to, in SQL: entered by what plans, never by what goes to a browser.
export { sheets, type Books } from "./sheets.sql";
export { sources, type Days } from "./sources.sql";
export { countedWords, workedInWeek } from "./weeks.sql";
