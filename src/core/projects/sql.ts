// What projects come to, in SQL: entered by what plans, never by what goes to a browser.
export { budgetAt, budgetChanges, partOfMonth, sheets, type Books } from "./sheets.sql";
export { plannedPercentAt } from "./plannedPercent.sql";
export { sources, type Days } from "./sources.sql";
export { countedWords, workedInWeek } from "./weeks.sql";
export { passedOfMonth } from "./workdays.sql";
