import { daysText } from "../../time";
import { figure, type BriefingPart } from "../part";
import { withArticle } from "../words";
import { showing } from "./asked";

const ASKED = showing("type", "portfolio", "client", "manager", "starts", "ends");

/** "A refit in the portfolio Fleet, for Saltmarsh Ferries itself. Manager: Cal Brenner. 1 Sep to 18 Dec 2026." */
export const head: BriefingPart = {
  id: "head",
  title: () => "",
  always: "Nothing is kept of it but its name.",
  asks: () => ({ project: ASKED }),
  write({ project }, { company }) {
    const row = project.rows[0];
    if (!row) return [];
    const [portfolio, client, manager] = ["portfolio", "client", "manager"].map((one) =>
      row.words(one),
    );
    const kind = withArticle(row.words("type") ?? "project");
    const [starts, ends] = [row.day("starts"), row.day("ends")];
    const when =
      starts && ends
        ? daysText(starts, ends)
        : starts
          ? `From ${daysText(starts, starts)}, without an end`
          : ends
            ? `Until ${daysText(ends, ends)}`
            : "";
    return [
      {
        kind: "text",
        runs: [
          kind.charAt(0).toUpperCase() + kind.slice(1),
          portfolio ? ` in the portfolio ${portfolio}` : "",
          `, for ${client ?? `${company} itself`}.`,
          ...(manager ? [` Manager: ${manager}.`] : []),
          ...(when ? [" ", figure("dates", when, ASKED), "."] : []),
        ],
      },
    ];
  },
};
