"use client";
import Link from "next/link";
import styled from "styled-components";
import type { SubjectId } from "@/core/catalog";
import type { ShownRecords } from "@/core/kinds";
import { recordHref } from "./recordHref";

const NotSet = styled.span`
  color: var(--ink-3);
`;

/** The records of a list that is only read, as rows of a table; the first cell leads to the page of the record. */
export const RowsBody = ({
  records: { columns, rows },
  subject,
}: {
  records: ShownRecords;
  subject: SubjectId;
}) => (
  <tbody>
    {rows.map((row) => {
      const href = recordHref(subject, row);
      return (
        <tr key={row.id}>
          {row.cells.map((cell, i) => (
            <td key={i} className={columns[i].align === "right" ? "r" : columns[i].words}>
              {cell === null ? (
                <NotSet>not set</NotSet>
              ) : i === 0 && href ? (
                <Link href={href}>{cell}</Link>
              ) : (
                cell
              )}
            </td>
          ))}
        </tr>
      );
    })}
    {rows.length === 0 && (
      <tr>
        <td className="nothing" colSpan={columns.length}>
          Nothing is in this list.
        </td>
      </tr>
    )}
  </tbody>
);
