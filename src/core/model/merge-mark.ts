import type { Mark } from "./mark";
import { markOf } from "./plain-mark";
import { keysOf } from "../sums/keys";

type Field = keyof Mark;
/** A mark whose fields can be told apart: as it is kept, or as a file has it. */
type Fields = Readonly<Partial<Record<Field, unknown>>>;

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** What a mark said before anybody marked it: nothing, so that every use is news. */
const UNSAID: Fields = { ...markOf("used"), use: null };
const FIELDS = keysOf<Field>(UNSAID);

/** The fields that a screen changed, from the mark that it was shown. */
const changedFrom = (from: Fields | null, mark: Fields): Field[] =>
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

/** Some of what a mark says. */
export const only = <M extends Fields>(mark: M, fields: readonly Field[]): Partial<M> =>
  Object.fromEntries(fields.map((field) => [field, mark[field]])) as Partial<M>;

/** A mark with some of its fields as another has them. */
const pick = (base: Mark, other: Mark, fields: readonly Field[]): Mark => ({
  ...base,
  ...only(other, fields),
});

/** The fields that another screen had said otherwise, and that this one's change stands over. */
export const overruled = (known: Fields | null, from: Fields | null, sent: Fields | null): Field[] =>
  known === null || sent === null
    ? []
    : changedFrom(from, sent).filter(
        (field) =>
          !isSame(from?.[field] ?? UNSAID[field], known[field]) && !isSame(known[field], sent[field]),
      );
