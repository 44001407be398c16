/** A cell of the sheet, by the numbers of its row and its trip. */
export interface Place {
  readonly row: number;
  readonly trip: number;
}

/** The cell that an event came from, if it came from one. */
export function placeOf(target: EventTarget): Place | null {
  if (!(target instanceof Element)) return null;
  const [row, trip] = target.closest<HTMLElement>("[data-cell]")?.dataset.cell?.split(":").map(Number) ?? [];
  return row === undefined || trip === undefined ? null : { row, trip };
}

/** Focuses a cell if it is drawn, and brings it into view; the only one that Tab comes back to. */
export function focusDrawn(frame: HTMLElement, { row, trip }: Place): boolean {
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
  const past = (start: number, end: number, low: number, high: number) => {
    if (start < low) return start - low;
    return end > high ? end - high : 0;
  };
  const by = { left: past(at.left, at.right, from, to), top: past(at.top, at.bottom, head, box.bottom) };
  if (by.left !== 0 || by.top !== 0) scroller.scrollBy(by);
}
