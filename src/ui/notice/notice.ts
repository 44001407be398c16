/** Something said in passing, with a press that takes it back where it can be. */
export interface Notice {
  readonly text: string;
  readonly isError: boolean;
  readonly undo?: () => void;
  /** What that press is called; left out: Undo. */
  readonly undoes?: string;
}

/** Said before what shows it was there. */
let unshown: Notice[] = [];
let show: ((notice: Notice) => void) | null = null;
let wake: (() => void) | null = null;

function say(notice: Notice): void {
  if (show) return show(notice);
  unshown.push(notice);
  wake?.();
}

/** Says what was done, at the foot of the page for a while. */
export const tell = (text: string, undo?: () => void, undoes?: string): void =>
  say({ text, isError: false, undo, undoes });

/** Says what was not done, and why. */
export const tellWrong = (text: string): void => say({ text, isError: true });

/** Calls `first` with the first thing that is said, which is kept; returns how to stop. */
export function onFirstNotice(first: () => void): () => void {
  wake = first;
  if (unshown.length > 0) first();
  return () => {
    wake = null;
  };
}

/** From now on notices are shown so, what was said meanwhile among them; returns how to stop. */
export function showNotices(how: (notice: Notice) => void): () => void {
  show = how;
  for (const notice of unshown) how(notice);
  unshown = [];
  return () => {
    show = null;
  };
}
