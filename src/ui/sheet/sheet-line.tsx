import Link from "next/link";
import { memo } from "react";
import { sayMass, type Units } from "@/core/units/speak";
import { Ruler } from "../ruler";
import { Stroke, StrokeLine, STROKES, type StrokeCode } from "../stroke/stroke";
import { VerbWord } from "../verb-word";
import { seamsOf, strokeAt, type SheetRow, type SheetTrip } from "./sheet-data";
import { itemPath } from "../paths";

/** The stretch of trip columns that is drawn, in pixels and numbers of blocks. */
export interface Span {
  readonly total: number;
  readonly cell: number;
  readonly fromBlock: number;
  readonly toBlock: number;
}

/**
 * Columns that are drawn together: scrolling across redraws a block now and then, and leaves the others as
 * they are.
 */
export const BLOCK = 4;

/** Whole numbers from one to another, both included. */
const numbersIn = (from: number, to: number) =>
  Array.from({ length: Math.max(0, to - from + 1) }, (_, n) => from + n);

export const GroupLine = memo(function GroupLine({
  line,
  units,
  index,
  top,
  height,
}: {
  line: { group: string; grams: number };
  units: Units;
  index: number;
  top: number;
  height: number;
}) {
  return (
    <div
      role="row"
      aria-rowindex={index}
      style={{ top, height }}
      className="absolute inset-x-0 flex items-end border-b border-rule-strong print:!relative print:!top-0"
    >
      <div role="rowheader" className={GROUP}>
        {line.group} <span className="num text-xs font-normal text-muted">{sayMass(line.grams, units)}</span>
      </div>
    </div>
  );
});

const GROUP =
  "sticky left-0 flex items-baseline gap-2 bg-paper pb-0.5 pr-3 font-head text-[0.9rem] " +
  "leading-tight font-bold";

interface RowLineProps extends Span {
  row: SheetRow;
  number: number;
  index: number;
  top: number;
  height: number;
  lit: number;
  narrow: boolean;
  focusTrip: number;
  fresh: ReadonlyMap<string, StrokeCode>;
  trips: readonly SheetTrip[];
}

export const RowLine = memo(function RowLine(props: RowLineProps) {
  const { row, number, index, top, height, total, cell, fromBlock, toBlock } = props;
  const { lit, narrow, focusTrip, fresh, trips } = props;
  return (
    <div role="row" aria-rowindex={index} style={{ top, height }} className={ROW}>
      <RowHead row={row} narrow={narrow} />
      <div role="presentation" className="relative shrink-0" style={{ width: total }}>
        <StrokeLine codes={row.strokes} seams={seamsOf(row)} cell={cell} height={height} />
        {numbersIn(fromBlock, toBlock).map((block) => {
          const start = block * BLOCK;
          const inBlock = (trip: number) => (trip >= start && trip < start + BLOCK ? trip : -1);
          return (
            <CellBlock
              key={block}
              row={row}
              number={number}
              start={start}
              cell={cell}
              lit={inBlock(lit)}
              focusTrip={inBlock(focusTrip)}
              fresh={fresh}
              trips={trips}
            />
          );
        })}
      </div>
      <RowSums row={row} narrow={narrow} />
    </div>
  );
});

const ROW =
  "group/row absolute inset-x-0 flex contain-layout items-stretch border-b border-rule " +
  "print:!relative print:!top-0 print:break-inside-avoid";

/** What the row is of. */
function RowHead({ row, narrow }: Pick<RowLineProps, "row" | "narrow">) {
  return (
    <div role="rowheader" data-fixed="left" className={ROW_HEAD}>
      <Link
        href={itemPath(row.id)}
        prefetch={false}
        className="min-w-0 flex-1 leading-tight hover:underline sm:truncate"
        title={row.name}
      >
        <span className="block truncate font-semibold">{row.name}</span>
        {narrow && (
          <span className="text-[0.8rem]">
            <Outcome row={row} />
          </span>
        )}
      </Link>
      <span className="num hidden text-[0.86rem] text-muted sm:inline">{row.weight}</span>
    </div>
  );
}

const ROW_HEAD =
  "sticky left-0 z-10 flex w-[9.4rem] shrink-0 items-center gap-2 bg-paper pr-2 " +
  "group-hover/row:bg-leaf-soft sm:w-[15.5rem]";

/** What it comes to: how far, how long, what is left, and the verdict. */
function RowSums({ row, narrow }: Pick<RowLineProps, "row" | "narrow">) {
  return (
    <div data-fixed={narrow ? undefined : "right"} role="presentation" className={ROW_SUMS}>
      <span
        role="gridcell"
        aria-label={`used for ${row.distance}`}
        className="num w-14 text-right text-[0.95rem]"
      >
        {row.distance}
      </span>
      <span
        role="gridcell"
        aria-label={`${row.nights} nights`}
        className="num w-12 text-right text-[0.95rem]"
      >
        {row.nights}
      </span>
      <span role="gridcell" className="w-[7.2rem] pl-4">
        {row.ruler ? (
          <Ruler {...row.ruler} words={row.left} />
        ) : (
          <span className="sr-only">no life to count down</span>
        )}
      </span>
      <span role="gridcell" className="w-[8.4rem] truncate pl-1 text-[0.95rem]" title={row.says}>
        <Outcome row={row} />
        {row.ruled && (
          <span className="ml-1 text-xs text-muted" title="You have ruled on this">
            ruled
          </span>
        )}
      </span>
    </div>
  );
}

const ROW_SUMS =
  "flex shrink-0 items-center bg-paper pl-2 group-hover/row:bg-leaf-soft sm:sticky sm:right-0 sm:z-10";

interface CellBlockProps extends Pick<
  RowLineProps,
  "row" | "number" | "cell" | "lit" | "focusTrip" | "fresh" | "trips"
> {
  start: number;
}

const CellBlock = memo(function CellBlock({
  row,
  number,
  start,
  cell,
  lit,
  focusTrip,
  fresh,
  trips,
}: CellBlockProps) {
  const end = Math.min(trips.length - 1, start + BLOCK - 1);
  return (
    <>
      {numbersIn(start, end).map((trip) => {
        const made = fresh.get(`${row.id}:${trip}`);
        const seam = row.seams[trip] ? `; before it: ${row.seams[trip]}` : "";
        return (
          <div
            key={trip - start}
            role="gridcell"
            aria-colindex={trip + 2}
            data-cell={`${number}:${trip}`}
            tabIndex={trip === focusTrip ? 0 : -1}
            aria-label={`${row.name}, ${trips[trip]?.name}: ${STROKES[made ?? strokeAt(row, trip)]}${seam}`}
            className={trip === lit ? "absolute inset-y-0 bg-catkin/60" : "absolute inset-y-0"}
            style={{ left: trip * cell, width: cell }}
          >
            {made && (
              <span className="absolute inset-0 flex items-end justify-center bg-paper pb-1">
                <Stroke code={made} fresh />
              </span>
            )}
          </div>
        );
      })}
    </>
  );
});

/** The leading verdict; of what has left the shelf, how it left, unless something follows from that. */
function Outcome({ row }: { row: SheetRow }) {
  return row.state !== "active" && row.verb === "keep" ? (
    <span className="text-muted italic">{row.state}</span>
  ) : (
    <VerbWord verb={row.verb} urgency={row.urgency} />
  );
}
