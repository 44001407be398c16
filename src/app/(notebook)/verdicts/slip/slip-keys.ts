import { isTyping } from "@/ui/is-typing";

const SLIPS = "[data-slip]";

/**
 * Brings the focus to the slip after (or before) one; to the other side where there is none, so that it is
 * never lost.
 */
export function focusSlip(from: HTMLElement, by: 1 | -1 = 1): void {
  const all = [...document.querySelectorAll<HTMLElement>(SLIPS)];
  const at = all.indexOf(from);
  const next = all[at + by] ?? all[at - by];
  next?.focus({ preventScroll: true });
  next?.scrollIntoView({ block: "nearest" });
}

/** What each key presses on the slip that has the focus. */
const ACTS: Readonly<Record<string, string>> = {
  a: "agree",
  o: "overrule",
  l: "later",
  d: "done",
  Enter: "argument",
};

/**
 * The keys of a page of slips: arrows from one to the next, a letter for each button. Where nothing has the focus
 * yet, they are
 * the first slip's: an arrow goes to it.
 */
export function onSlipKey(event: KeyboardEvent): void {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
  const { target } = event;
  if (!(target instanceof HTMLElement)) return;
  const first = target === document.body ? document.querySelector<HTMLElement>(SLIPS) : null;
  const slip = target.closest<HTMLElement>(SLIPS) ?? first;
  if (!slip) return;
  if (first && event.key.startsWith("Arrow")) {
    event.preventDefault();
    return first.focus();
  }
  if (event.key === "ArrowDown" || event.key === "ArrowUp") {
    event.preventDefault();
    return focusSlip(slip, event.key === "ArrowDown" ? 1 : -1);
  }
  // A button of the slip keeps its own Enter.
  if (event.key === "Enter" && target !== slip && !first) return;
  const act = ACTS[event.key];
  const button = act && slip.querySelector<HTMLElement>(`[data-act=${act}]`);
  if (!button) return;
  event.preventDefault();
  button.click();
}
