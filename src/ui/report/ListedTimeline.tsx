"use client";
import { useQuery } from "@tanstack/react-query";
import { localDay } from "@/core/time";
import type { AskContext } from "@/core/catalog";
import type { ListReport } from "@/core/kinds";
import { ask, Empty, later, Waiting } from "../kit";

const Timeline = later(() => import("../timeline"), "Timeline");

/** As many projects stand on one timeline. */
const MOST_PROJECTS = 200;

/** A list of projects as bars in time, in the order of the list. */
export function ListedTimeline({ report, context }: { report: ListReport; context: AskContext }) {
  const { data, error } = useQuery({
    queryKey: ["records", report, MOST_PROJECTS],
    queryFn: ({ signal }) =>
      ask(
        "records",
        {
          definition: report,
          showing: [["project"]],
          sorts: [...report.sorts],
          offset: 0,
          limit: MOST_PROJECTS,
        },
        signal,
      ),
  });
  if (error && !data) return <Empty says={error.message} />;
  if (!data) return <Waiting>Laying out …</Waiting>;
  if (data.rows.length === 0) return <Empty says="No project is in this list." />;
  return (
    <Timeline
      rows={data.rows.map((row) => row.id)}
      today={localDay(context.now, context.calendar.zone)}
      stood={report.stood?.slice(0, 10) ?? ""}
    />
  );
}
