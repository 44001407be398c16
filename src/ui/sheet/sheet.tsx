"use client";

import { useRouter } from "next/navigation";
import { useCallback, useMemo, useRef, useState, type KeyboardEvent } from "react";
import { isTyping } from "../is-typing";
import { itemPath } from "../paths";
import { arrange, EVERYTHING, type Asked, type Range } from "./arrange";
import { placeOf, type Place } from "./walk/cell-focus";
import { CellWords, type LookedAt } from "./cell-words";
import { SheetControls } from "./sheet-controls";
import type { SheetData } from "./sheet-data";
import { BLOCK, GroupLine, RowLine, type Span } from "./sheet-line";
import { moveOfKey, USE_KEYS } from "./walk/sheet-moves";
import { TrailStrip } from "./trail-strip";
import { useCellFocus } from "./walk/use-cell-focus";
import { NOTHING, useDrawn } from "./walk/use-drawn";
import { useMarking } from "./use-marking";
import { useMedia, usePrinting } from "./use-media";
import { sizesOf, useView } from "./walk/use-view";

/**
 * The tally sheet: items down, trips across, one pen stroke a cell. Arrow keys walk it; u, h and n mark in
 * place, z takes back.
 */
export function Sheet({ data }: { data: SheetData }) {
  const narrow = useMedia("(max-width: 700px)");
  const printing = usePrinting();
  const [asked, setAsked] = useState<Asked>(EVERYTHING);
  const { fresh, mark, undo } = useMarking(data);
  const { lines, rows } = useArranged(data, asked);
  const scroller = useRef<HTMLDivElement>(null);
  const view = useView(scroller, { lines: lines.length, trips: data.trips.length }, narrow);
  const drawn = useDrawn(view.lines, view.blocks);
  const { cell, height } = sizesOf(data.trips.length, narrow);
  const focus = useCellFocus(
    scroller,
    view,
    useCallback((row: number) => rows[row]?.line, [rows]),
    drawn,
    { row: 0, trip: Math.max(0, data.trips.length - 1) },
  );
  const cellAt = useCallback((target: EventTarget) => lookedAt(target, rows, data), [rows, data]);
  const onKeyDown = useSheetKeys(data, rows, focus, mark, undo);

  // On paper there is no scrolling: every line and trip is drawn, without the cells that are only there to be pressed.
  const all: Range = { from: 0, to: lines.length - 1 };
  const linesDrawn = printing ? all : drawn.lines;
  const spanOf = ({ from, to }: Range) => ({
    total: view.columns.getTotalSize(),
    cell,
    fromBlock: from,
    toBlock: to,
  });
  const span = spanOf(printing ? NOTHING : drawn.blocks);
  const heads = spanOf(printing ? { from: 0, to: Math.floor(data.trips.length / BLOCK) } : drawn.blocks);
  return (
    <section aria-label="Tally sheet" className="relative">
      <SheetControls data={data} asked={asked} found={rows.length} onAsk={setAsked} />
      <div ref={scroller} className={FRAME} onKeyDown={onKeyDown} onFocus={focus.onFocus}>
        <div
          role="grid"
          aria-label="Items by trips"
          aria-rowcount={lines.length + 1}
          aria-colcount={data.trips.length + 5}
          className="min-w-full"
          style={{ width: view.wide }}
        >
          <TrailStrip
            data={data}
            span={heads}
            lit={asked.trip}
            narrow={narrow}
            onLight={(trip) => setAsked({ ...asked, trip: asked.trip === trip ? -1 : trip })}
          />
          {rows.length === 0 && (
            <p className="sticky left-0 px-1 py-6 text-muted">
              Nothing here is asked for. Clear the filters to see it all.
            </p>
          )}
          <div role="rowgroup" className="relative" style={{ height: view.rows.getTotalSize() }}>
            <Lines
              data={data}
              lines={lines.slice(linesDrawn.from, linesDrawn.to + 1)}
              from={linesDrawn.from}
              height={height}
              span={span}
              lit={asked.trip}
              narrow={narrow}
              focused={focus.place.current}
              fresh={fresh}
            />
          </div>
        </div>
      </div>
      <CellWords frame={scroller} cellAt={cellAt} />
    </section>
  );
}

interface LinesProps {
  readonly data: SheetData;
  readonly lines: ReturnType<typeof useArranged>["lines"];
  /** The number of the first of them. */
  readonly from: number;
  readonly height: number;
  readonly span: Span;
  readonly lit: number;
  readonly narrow: boolean;
  readonly focused: Place;
  readonly fresh: ReturnType<typeof useMarking>["fresh"];
}

function Lines({ data, lines, from, height, span, lit, narrow, focused, fresh }: LinesProps) {
  return lines.map((line, n) => {
    const at = from + n;
    const place = { index: at + 2, top: at * height, height };
    if ("group" in line) return <GroupLine key={line.group} line={line} units={data.units} {...place} />;
    return (
      <RowLine
        key={line.row.id}
        row={line.row}
        number={line.number}
        {...place}
        {...span}
        lit={lit}
        narrow={narrow}
        focusTrip={line.number === focused.row ? focused.trip : -1}
        fresh={fresh}
        trips={data.trips}
      />
    );
  });
}

const FRAME =
  "relative max-h-[calc(100dvh-10rem)] overflow-auto overscroll-contain border-b border-rule " +
  "tabs:max-h-[calc(100dvh-7.3rem)] print:max-h-none print:overflow-visible";

/** Lines as they are asked for, each row with its number, and where among the lines each row stands. */
function useArranged(data: SheetData, asked: Asked) {
  return useMemo(() => {
    let number = 0;
    const lines = arrange(data.rows, asked).map((line) =>
      "row" in line ? { ...line, number: number++ } : line,
    );
    const rows = lines.flatMap((line, at) => ("row" in line ? [{ line: at, row: line.row }] : []));
    return { lines, rows };
  }, [data.rows, asked]);
}

type Rows = ReturnType<typeof useArranged>["rows"];

function lookedAt(target: EventTarget, rows: Rows, data: SheetData): LookedAt | null {
  const at = placeOf(target);
  const row = at && rows[at.row]?.row;
  const trip = at && data.trips[at.trip];
  return row && trip ? { row, trip, column: at.trip } : null;
}

/** Keys walk the cells, mark in place, and take back. */
function useSheetKeys(
  data: SheetData,
  rows: Rows,
  { cellOf, focusCell }: ReturnType<typeof useCellFocus>,
  mark: ReturnType<typeof useMarking>["mark"],
  undo: () => void,
) {
  const router = useRouter();
  return (event: KeyboardEvent) => {
    if (isTyping(event)) return;
    const withControl = event.ctrlKey || event.metaKey;
    if (event.key === "z" || (event.key === "Backspace" && !withControl)) {
      event.preventDefault();
      return undo();
    }
    const at = withControl || event.altKey ? null : cellOf(event.target);
    if (!at) return;
    const move = moveOfKey(event.key, at, rows.length, data.trips.length);
    const use = USE_KEYS[event.key];
    const row = rows[at.row]?.row;
    const trip = data.trips[at.trip];
    if (move || use) event.preventDefault();
    if (move) focusCell(move);
    else if (!row || !trip) return;
    else if (use) mark({ row, trip, column: at.trip }, use);
    else if (event.key === "Enter")
      router.push(`${itemPath(row.id)}?${new URLSearchParams({ trip: trip.id })}`);
  };
}
