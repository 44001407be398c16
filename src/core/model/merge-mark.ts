import type { Mark } from "./mark";
import { markOf } from "./plain-mark";

/** A mark whose fields can be told apart: as it is kept, or as a file has it. */
type Fields = Readonly<Record<string, unknown>>;

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** What a mark said before anybody marked it: nothing, so that every use is news. */
const UNSAID: Fields = { ...markOf("used"), use: null };
const FIELDS = Object.keys(UNSAID);

/** The fields that a screen changed, from the mark that it was shown. */
const changedFrom = (from: Fields | null, mark: Fields): string[] =>
  FIELDS.filter((field) => !isSame((from ?? UNSAID)[field], mark[field]));

/**
 * A mark that two screens changed at once: each field as it was said last, whichever screen said it.
 *
 * @param known what is kept, which another screen may have changed meanwhile
 * @param from what this screen was shown when it made its change
 * @param sent what it would have; null: nobody has marked it
 */
export function mergedMark(known: Mark | null, from: Mark | null, sent: Mark | null): Mark | null {
  if (sent === null) {
    if (known === null || isSame(known, from)) return null;
    // Taken back here, while something else was said there: that stays.
    const theirs = changedFrom(from, known);
    return pick(markOf(known.use), known, theirs);
  }
  // Of what was taken back elsewhere meanwhile, only what is new here stays.
  return pick(known ?? markOf(sent.use), sent, changedFrom(from, sent));
}

/** A mark with some of its fields as another has them. */
const pick = (base: Mark, other: Mark, fields: readonly string[]): Mark =>
  Object.assign({ ...base }, ...fields.map((field) => ({ [field]: (other as Fields)[field] }))) as Mark;

/** The fields that another screen had said otherwise, and that this one's change stands over. */
export const overruled = <M extends object>(known: M | null, from: M | null, sent: M | null): (keyof M)[] =>
  known === null || sent === null
    ? []
    : (changedFrom(from as Fields | null, sent as Fields).filter(
        (field) =>
          !isSame((from as Fields | null)?.[field] ?? UNSAID[field], (known as Fields)[field]) &&
          !isSame((known as Fields)[field], (sent as Fields)[field]),
      ) as (keyof M)[]);
