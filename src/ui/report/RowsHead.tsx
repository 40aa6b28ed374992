import type { Shown } from "@/core/kinds";

/** The head of a list that is only read: on a tile and on paper. */
export const RowsHead = ({
  columns,
}: {
  columns: (Shown & { kind: "list" })["records"]["columns"];
}) => (
  <thead>
    <tr>
      {columns.map((column) => (
        <th key={column.words} scope="col" className={column.align === "right" ? "r" : undefined}>
          {column.words}
        </th>
      ))}
    </tr>
  </thead>
);
