"use client";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { PLAIN_DRESS } from "@/core/definition";
import { isDrawable, type Report } from "@/core/kinds";
import { ask, Empty, Waiting } from "../kit";
import { FigureBody, RowsHead, saidWords, Says } from "../report";
import { RowsTable } from "../tiles";

/** The figure of a reading, as soon as it is there. */
export function Answered({ report, onOpen }: { report: Report; onOpen: () => void }) {
  const { data, error } = useQuery({
    queryKey: ["figure", report, PLAIN_DRESS],
    queryFn: ({ signal }) => ask("figure", { definition: report, dress: PLAIN_DRESS }, signal),
    placeholderData: keepPreviousData,
  });
  if (error) return <Empty says={error.message} />;
  if (!data) return <Waiting>Counting …</Waiting>;
  if (!isDrawable(data))
    return (
      <RowsTable>
        <RowsHead columns={data.records.columns} />
        <tbody>
          {data.records.rows.slice(0, 9).map((row) => (
            <tr key={row.id}>
              {row.cells.map((cell, i) => (
                <td key={i}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </RowsTable>
    );
  return (
    <>
      <Says>{saidWords(data.says)}</Says>
      <FigureBody
        shown={data}
        report={report}
        dress={PLAIN_DRESS}
        measure=""
        title=""
        opened={null}
        onOpen={onOpen}
        asTable={false}
        small
      />
    </>
  );
}
