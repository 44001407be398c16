import type { ReactNode } from "react";

/** One column: its head, and what a row shows in it. */
export interface Column<Row> {
  readonly head: ReactNode;
  readonly cell: (row: Row) => ReactNode;
  /** A figure: to the right, in figures of one width. */
  readonly number?: boolean;
  /** The rows stand by it, the most first. */
  readonly isSorted?: boolean;
  /** Classes of its head and its cells. */
  readonly look?: string;
}

interface TableProps<Row> {
  readonly rows: readonly Row[];
  readonly columns: readonly [Column<Row>, ...Column<Row>[]];
  readonly keyOf: (row: Row, n: number) => string | number;
  readonly look?: string;
}

/** Rows to be read down a column. */
export function Table<Row>({ rows, columns, keyOf, look = "" }: TableProps<Row>) {
  return (
    <table className={`w-full text-[0.95rem] ${look}`}>
      <thead className="text-left text-sm text-muted">
        <tr>
          {columns.map(({ head, number, isSorted, look: ofColumn = "" }, n) => (
            <th
              key={n}
              aria-sort={isSorted ? "descending" : undefined}
              className={`font-normal ${number ? "text-right" : ""} ${ofColumn}`}
            >
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, at) => (
          <tr key={keyOf(row, at)} className="border-t border-rule">
            {columns.map(({ cell, number, look: ofColumn = "" }, n) => (
              <td
                key={n}
                className={`${n === 0 ? "py-1" : ""} ${number ? "num text-right" : ""} ${ofColumn}`}
              >
                {cell(row)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
