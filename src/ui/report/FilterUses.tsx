"use client";
import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import { ask, Waiting } from "../kit";

/** The reports that change with a saved filter. */
export function FilterUses({ id }: { id: number }) {
  const { data, error } = useQuery({
    queryKey: ["filterUses", id],
    queryFn: ({ signal }) => ask("filterUses", { id }, signal),
  });
  if (error) return <p role="alert">{error.message}</p>;
  if (!data) return <Waiting>Looking for the reports that use it …</Waiting>;
  if (data.length === 0)
    return <p style={{ color: "var(--ink-2)" }}>No report that you may read uses it.</p>;
  return (
    <div>
      <p style={{ fontWeight: 600 }}>
        {data.length === 1
          ? "This report changes with it:"
          : `These ${data.length} reports change with it:`}
      </p>
      <ul style={{ maxHeight: 160, overflow: "auto" }}>
        {data.map((report) => (
          <li key={report.id}>
            <Link href={`/reports/${report.id}`}>{report.name}</Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
