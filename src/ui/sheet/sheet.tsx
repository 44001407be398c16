"use client";

import { defaultRangeExtractor, useVirtualizer } from "@tanstack/react-virtual";
import { useRouter } from "next/navigation";
import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Use } from "@/core/model";
import { isTyping } from "../is-typing";
import { arrange, EVERYTHING, towards, type Asked, type Line, type Range } from "./arrange";
import { CellWords, type LookedAt } from "./cell-words";
import { SheetControls } from "./sheet-controls";
import { BLOCK, GroupLine, numbersIn, RowLine } from "./sheet-line";
import type { SheetData } from "./sheet-data";
import { TrailStrip } from "./trail-strip";
import { useMarking } from "./use-marking";
import { useMedia, usePrinting } from "./use-media";
import { itemPath } from "../paths";

const USE_KEYS: Readonly<Record<string, Use>> = { u: "used", h: "hardly", n: "unused" };
export interface Place {
  readonly row: number;
  readonly trip: number;
}

/**
 * The tally sheet: items down, trips across, one pen stroke a cell. Arrow keys walk it; u, h and n mark in
 * place, z takes back.
 */
export function Sheet({ data }: { data: SheetData }) {
  const router = useRouter();
  const narrow = useMedia("(max-width: 700px)");
  const [asked, setAsked] = useState<Asked>(EVERYTHING);
  const { fresh, mark, undo } = useMarking(data);
  const lines = useMemo(() => arrange(data.rows, asked), [data.rows, asked]);
  const rowsOnly = useMemo(
    () => lines.flatMap((line, index) => ("row" in line ? [{ index, row: line.row }] : [])),
    [lines],
  );
  const scroller = useRef<HTMLDivElement>(null);
  const place = useRef<Place>({ row: 0, trip: Math.max(0, data.trips.length - 1) });
  const wanted = useRef<Place>(undefined);
  const [drawn, setDrawn] = useState({ lines: NOTHING, blocks: NOTHING });
  const printing = usePrinting();
  const cell = data.trips.length > 24 ? 22 : narrow ? 26 : 31;
  const height = narrow ? 46 : 25;

  const rows = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan: OVERSCAN,
    useFlushSync: false,
  });
  const columns = useVirtualizer({
    horizontal: true,
    count: data.trips.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => cell,
    overscan: OVERSCAN,
    useFlushSync: false,
    // The columns that stay put at either side cover that many trips.
    rangeExtractor: (range) =>
      defaultRangeExtractor({
        ...range,
        endIndex: Math.min(
          range.count - 1,
          range.startIndex +
            Math.ceil(
              ((scroller.current?.clientWidth ?? 0) - FIXED_WIDTH[narrow ? "covering" : "wide"]) / cell,
            ),
        ),
      }),
  });
  useEffect(() => rows.measure(), [height, rows]);
  useEffect(() => columns.measure(), [cell, columns]);
  useEffect(() => {
    // The latest trips are what is looked for; an owner of many scrolls back from there.
    const element = scroller.current;
    element?.scrollTo({
      left: data.trips.length * cell - (element.clientWidth - FIXED_WIDTH[narrow ? "covering" : "wide"]),
    });
  }, [data.trips.length, cell, narrow]);

  const focusCell = useCallback(
    (to: Place) => {
      const target = rowsOnly[to.row];
      const frame = scroller.current;
      if (!target || !frame) return;
      place.current = to;
      if (focusDrawn(frame, to)) return;
      // It is focused once the scroll has brought it in and it is drawn, unless another is by then.
      wanted.current = to;
      rows.scrollToIndex(target.index, { align: "auto" });
      columns.scrollToIndex(to.trip, { align: "auto" });
    },
    [rowsOnly, rows, columns],
  );

  const onKeyDown = (event: React.KeyboardEvent) => {
    if (isTyping(event)) return;
    const undoes =
      event.ctrlKey || event.metaKey ? event.key === "z" : event.key === "z" || event.key === "Backspace";
    if (undoes) {
      event.preventDefault();
      return undo();
    }
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const at = wanted.current ?? placeOf(event.target);
    if (!at) return;
    const { row, trip } = at;
    const moves: Record<string, Place> = {
      ArrowDown: { row: row + 1, trip },
      ArrowUp: { row: row - 1, trip },
      ArrowRight: { row, trip: trip + 1 },
      ArrowLeft: { row, trip: trip - 1 },
      Home: { row, trip: 0 },
      End: { row, trip: data.trips.length - 1 },
      PageDown: { row: row + 15, trip },
      PageUp: { row: row - 15, trip },
    };
    const move = moves[event.key];
    if (move) {
      event.preventDefault();
      focusCell({ row: clamp(move.row, rowsOnly.length), trip: clamp(move.trip, data.trips.length) });
    } else if (USE_KEYS[event.key]) {
      event.preventDefault();
      const cell = { row: rowsOnly[row]?.row, trip: data.trips[trip], column: trip };
      if (cell.row && cell.trip) mark({ ...cell, row: cell.row, trip: cell.trip }, USE_KEYS[event.key]!);
    } else if (event.key === "Enter") {
      router.push(
        `${itemPath(rowsOnly[row]!.row.id)}?${new URLSearchParams({ trip: data.trips[trip]!.id })}`,
      );
    }
  };

  const shown = columns.getVirtualItems();
  // A few trips are all drawn: only a long log is worth cutting to what is in view.
  const few = data.trips.length <= 24;
  const [from, to] = few ? [0, data.trips.length - 1] : [shown[0]?.index ?? 0, shown.at(-1)?.index ?? -1];
  // What is drawn follows what is in view in small steps, one a frame, which keys and scrolling come between.
  const shownRows = rows.getVirtualItems();
  const inView = `${shownRows[0]?.index ?? 0} ${shownRows.at(-1)?.index ?? -1} ${Math.floor(from / BLOCK)} ${Math.floor(to / BLOCK)}`;
  useEffect(() => {
    const [firstLine, lastLine, firstBlock, lastBlock] = inView.split(" ").map(Number) as [
      number,
      number,
      number,
      number,
    ];
    const nextLines = towards(drawn.lines, { from: firstLine, to: lastLine }, LINES_AT_ONCE);
    const nextBlocks = towards(drawn.blocks, { from: firstBlock, to: lastBlock }, BLOCKS_AT_ONCE);
    const next = !isSame(nextLines, drawn.lines)
      ? { ...drawn, lines: nextLines }
      : !isSame(nextBlocks, drawn.blocks)
        ? { ...drawn, blocks: nextBlocks }
        : null;
    if (!next) return;
    const frame = requestAnimationFrame(() => startTransition(() => setDrawn(next)));
    return () => cancelAnimationFrame(frame);
  }, [drawn, inView]);
  // On paper there is no scrolling: every line and trip is drawn, without the cells that are only there to be pressed.
  const linesDrawn = printing ? { from: 0, to: lines.length - 1 } : drawn.lines;
  const spanOf = ({ from, to }: Range) => ({
    total: columns.getTotalSize(),
    cell,
    fromBlock: from,
    toBlock: to,
  });
  const span = spanOf(printing ? NOTHING : drawn.blocks);
  const heads = spanOf(printing ? { from: 0, to: Math.floor(data.trips.length / BLOCK) } : drawn.blocks);
  useEffect(() => {
    if (wanted.current && scroller.current && focusDrawn(scroller.current, wanted.current))
      wanted.current = undefined;
  }, [drawn]);
  const cellAt = useCallback(
    (target: EventTarget): LookedAt | null => {
      const at = placeOf(target);
      const [row, trip] = at ? [rowsOnly[at.row]?.row, data.trips[at.trip]] : [];
      return at && row && trip ? { row, trip, column: at.trip } : null;
    },
    [rowsOnly, data.trips],
  );
  const rowNumber = useMemo(() => new Map(rowsOnly.map(({ index }, n) => [index, n])), [rowsOnly]);
  const onFocus = ({ target }: React.FocusEvent) => {
    const at = placeOf(target);
    if (!at) return;
    place.current = at;
    wanted.current = undefined;
  };

  return (
    <section aria-label="Tally sheet" className="relative">
      <SheetControls data={data} asked={asked} found={rowsOnly.length} onAsk={setAsked} />
      <div
        ref={scroller}
        className="relative max-h-[calc(100dvh-10rem)] tabs:max-h-[calc(100dvh-7.3rem)] overflow-auto overscroll-contain border-b border-rule print:max-h-none print:overflow-visible"
        onKeyDown={onKeyDown}
        onFocus={onFocus}
      >
        <div
          role="grid"
          aria-label="Items by trips"
          aria-rowcount={lines.length + 1}
          aria-colcount={data.trips.length + 5}
          className="min-w-full"
          style={{ width: columns.getTotalSize() + FIXED_WIDTH[narrow ? "narrow" : "wide"] }}
        >
          <TrailStrip
            data={data}
            span={heads}
            lit={asked.trip}
            narrow={narrow}
            onLight={(trip) => setAsked({ ...asked, trip: asked.trip === trip ? -1 : trip })}
          />
          {rowsOnly.length === 0 && (
            <p className="sticky left-0 px-1 py-6 text-muted">
              Nothing here is asked for. Clear the filters to see it all.
            </p>
          )}
          <div role="rowgroup" className="relative" style={{ height: rows.getTotalSize() }}>
            {numbersIn(linesDrawn.from, Math.min(linesDrawn.to, lines.length - 1)).map((index) => {
              const line: Line = lines[index]!;
              if ("group" in line)
                return (
                  <GroupLine
                    key={line.group}
                    line={line}
                    units={data.units}
                    index={index + 2}
                    top={index * height}
                    height={height}
                  />
                );
              const number = rowNumber.get(index)!;
              return (
                <RowLine
                  key={line.row.id}
                  row={line.row}
                  number={number}
                  index={index + 2}
                  top={index * height}
                  height={height}
                  {...span}
                  lit={asked.trip}
                  narrow={narrow}
                  focusTrip={number === place.current.row ? place.current.trip : -1}
                  fresh={fresh}
                  trips={data.trips}
                />
              );
            })}
          </div>
        </div>
      </div>
      <CellWords frame={scroller} cellAt={cellAt} />
    </section>
  );
}

/** Lines, and blocks of columns, drawn in one step: more would hold up the page. */
const LINES_AT_ONCE = 2;
const BLOCKS_AT_ONCE = 1;
const NOTHING: Range = { from: 0, to: -1 };
const isSame = (one: Range, other: Range) => one.from === other.from && one.to === other.to;

/** Rows and columns drawn beyond each edge. */
const OVERSCAN = 2;

/** Width, in pixels, of the columns beside the strokes. */
const FIXED_WIDTH = { narrow: 520, wide: 620, covering: 150 } as const;

/** The cell that an event came from, if it came from one. */
function placeOf(target: EventTarget): Place | null {
  const cell = (target as HTMLElement).closest<HTMLElement>("[data-cell]")?.dataset.cell;
  if (!cell) return null;
  const [row, trip] = cell.split(":").map(Number) as [number, number];
  return { row, trip };
}

/** Focuses a cell if it is drawn, and brings it into view; the only one that Tab comes back to. */
function focusDrawn(frame: HTMLElement, { row, trip }: Place): boolean {
  const cell = frame.querySelector<HTMLElement>(`[data-cell="${row}:${trip}"]`);
  if (!cell) return false;
  frame
    .querySelectorAll('[data-cell][tabindex="0"]')
    .forEach((other) => other.setAttribute("tabindex", "-1"));
  cell.setAttribute("tabindex", "0");
  cell.focus({ preventScroll: true });
  keepInView(frame, cell);
  return true;
}

const clamp = (n: number, length: number) => Math.max(0, Math.min(length - 1, n));

/** Scrolls a cell into view, out from under the head and the columns that stay put at either side. */
function keepInView(scroller: HTMLElement, cell: HTMLElement) {
  const box = scroller.getBoundingClientRect();
  const at = cell.getBoundingClientRect();
  const [left, right] = ["[data-fixed=left]", "[data-fixed=right]"].map((side) =>
    cell.parentElement?.parentElement?.querySelector<HTMLElement>(side)?.getBoundingClientRect(),
  );
  const from = Math.max(box.left, left?.right ?? box.left);
  const to = Math.min(box.right, right && right.left > from ? right.left : box.right);
  const head = scroller.querySelector("[data-fixed=top]")?.getBoundingClientRect().bottom ?? box.top;
  const past = (start: number, end: number, low: number, high: number) =>
    start < low ? start - low : end > high ? end - high : 0;
  const by = { left: past(at.left, at.right, from, to), top: past(at.top, at.bottom, head, box.bottom) };
  if (by.left !== 0 || by.top !== 0) scroller.scrollBy(by);
}
