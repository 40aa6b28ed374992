import type { ReportBase } from "../../definition";
import type { ListReport } from "./definition";

/** The records themselves in place of what is counted of them. */
export const asList = ({
  subject,
  where,
  stood,
}: Pick<ReportBase, "subject" | "where" | "stood">): ListReport => ({
  kind: "list",
  subject,
  showing: [],
  sorts: [],
  ...(where ? { where } : {}),
  ...(stood ? { stood } : {}),
});
