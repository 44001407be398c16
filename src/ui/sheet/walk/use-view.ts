import { defaultRangeExtractor, useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, type RefObject } from "react";
import type { Range } from "../arrange";
import { BLOCK } from "../sheet-line";

/** Rows and columns drawn beyond each edge. */
const OVERSCAN = 2;

/** Width, in pixels, of the columns beside the strokes. */
const FIXED_WIDTH = { narrow: 520, wide: 620, covering: 150 } as const;

/** Trips that are all drawn: only a longer log is worth cutting to what is in view. */
const FEW = 24;

/** How large a cell is, in pixels, and a line. */
export const sizesOf = (trips: number, narrow: boolean) => ({
  cell: cellOf(trips, narrow),
  height: narrow ? 46 : 25,
});

function cellOf(trips: number, narrow: boolean): number {
  if (trips > FEW) return 22;
  return narrow ? 26 : 31;
}

/** Which lines and blocks of trips are in view, how large all of it is, and what scrolls to one. */
export function useView(
  scroller: RefObject<HTMLElement | null>,
  count: { readonly lines: number; readonly trips: number },
  narrow: boolean,
) {
  const { cell, height } = sizesOf(count.trips, narrow);
  const fixed = FIXED_WIDTH[narrow ? "covering" : "wide"];
  const rows = useVirtualizer({
    count: count.lines,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan: OVERSCAN,
    useFlushSync: false,
  });
  const columns = useVirtualizer({
    horizontal: true,
    count: count.trips,
    getScrollElement: () => scroller.current,
    estimateSize: () => cell,
    overscan: OVERSCAN,
    useFlushSync: false,
    // The columns that stay put at either side cover that many trips.
    rangeExtractor: (range) => {
      const inSight = Math.max(0, Math.ceil(((scroller.current?.clientWidth ?? 0) - fixed) / cell));
      return defaultRangeExtractor({
        ...range,
        endIndex: Math.min(range.count - 1, range.startIndex + inSight),
      });
    },
  });
  useEffect(() => rows.measure(), [height, rows]);
  useEffect(() => columns.measure(), [cell, columns]);
  useEffect(() => {
    // The latest trips are what is looked for; an owner of many scrolls back from there.
    const element = scroller.current;
    element?.scrollTo({ left: count.trips * cell - (element.clientWidth - fixed) });
  }, [scroller, count.trips, cell, fixed]);
  const shownRows = rows.getVirtualItems();
  const shown = columns.getVirtualItems();
  const [from, to] =
    count.trips <= FEW ? [0, count.trips - 1] : [shown[0]?.index ?? 0, shown.at(-1)?.index ?? -1];
  const lines: Range = { from: shownRows[0]?.index ?? 0, to: shownRows.at(-1)?.index ?? -1 };
  const blocks: Range = { from: Math.floor(from / BLOCK), to: Math.floor(to / BLOCK) };
  return {
    rows,
    columns,
    lines,
    blocks,
    /** Of the whole sheet, in pixels. */
    wide: columns.getTotalSize() + FIXED_WIDTH[narrow ? "narrow" : "wide"],
  };
}
