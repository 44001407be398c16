import { nth } from "@/core/sums/there";
/** A name that flies like a flag over a place: its pole, and its words to the right of it. */
interface Flag {
  readonly at: number;
  readonly words: string;
}

/** A letter of 14 px is about so wide; and the air around a name. */
const [LETTER, AIR] = [7.6, 6] as const;

/** Where a name ends that begins at a place. */
export const flagEnd = ({ at, words }: Flag): number => at + words.length * LETTER + AIR;

/**
 * The row of each name, 0 the lowest: no name covers another, nor another's pole, so a name stands above all whose
 * poles are
 * beneath it.
 */
export function flagRows(flags: readonly Flag[]): number[] {
  const rows = flags.map(() => 0);
  const fromTheRight = flags.map((_, n) => n).toSorted((a, b) => nth(flags, b).at - nth(flags, a).at);
  for (const [done, n] of fromTheRight.entries()) {
    const beneath = fromTheRight
      .slice(0, done)
      .filter((other) => nth(flags, other).at < flagEnd(nth(flags, n)));
    rows[n] = Math.max(0, ...beneath.map((other) => nth(rows, other) + 1));
  }
  return rows;
}
