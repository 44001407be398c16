import { useCallback, useEffect, useRef, type RefObject } from "react";
import { focusDrawn, placeOf, type Place } from "./cell-focus";
import type { useView } from "./use-view";

/** The cell that keys act on: it has the focus, or gets it once it is scrolled in and drawn. */
export function useCellFocus(
  scroller: RefObject<HTMLElement | null>,
  view: ReturnType<typeof useView>,
  lineOfRow: (row: number) => number | undefined,
  drawn: object,
  first: Place,
) {
  const place = useRef(first);
  const wanted = useRef<Place>(undefined);
  const { rows, columns } = view;
  const focusCell = useCallback(
    (to: Place) => {
      const line = lineOfRow(to.row);
      const frame = scroller.current;
      if (line === undefined || !frame) return;
      place.current = to;
      if (focusDrawn(frame, to)) return;
      // It is focused once the scroll has brought it in and it is drawn, unless another is by then.
      wanted.current = to;
      rows.scrollToIndex(line, { align: "auto" });
      columns.scrollToIndex(to.trip, { align: "auto" });
    },
    [scroller, lineOfRow, rows, columns],
  );
  useEffect(() => {
    if (wanted.current && scroller.current && focusDrawn(scroller.current, wanted.current))
      wanted.current = undefined;
  }, [scroller, drawn]);
  const onFocus = ({ target }: { readonly target: EventTarget }) => {
    const at = placeOf(target);
    if (!at) return;
    place.current = at;
    wanted.current = undefined;
  };
  /** The cell that an event is about: the one on its way to the focus, else the one that it came from. */
  const cellOf = (target: EventTarget) => wanted.current ?? placeOf(target);
  return { place, focusCell, onFocus, cellOf };
}
