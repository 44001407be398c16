import { NOT_SO } from "../trade/words/speech";
import type { ReadSentence } from "./clause";
import type { Meant } from "./nights";
import type { Named } from "./things";

/**
 * One thing in another's place: "swapped the quilt for the bag", "the bag instead of the quilt"; null: none is
 * told.
 */
export function swapIn(
  read: ReadSentence,
  meant: Meant,
): { readonly gone: Named; readonly came: Named } | null {
  const { words, units } = read;
  if (NOT_SO.test(words) || units.some(({ word }) => word === "F")) return null;
  const things = units.filter(({ word }) => word === "T").map(({ mentions }) => meant(mentions, words)[0]);
  const [a, b] = things;
  if (!a || !b || a.id === b.id) return null;
  const forward = [
    /\b(swapped|changed|exchanged|traded) (out )?(the |my )?T (for|to|against|with) (the |my |a )?T\b/,
    /\b(switched|changed|moved|went) from (the |my )?T (to|into|over to) (the |my )?T\b/,
    /\bT swapped (for|to) (the |my )?T\b/,
    /\breplaced (the |my )?T (with|by) (the |my )?T\b/,
    /\bT (off|out) ,? ?(the )?T (on|in)\b/,
    /\bT for (the )?T ,? ?swapped\b/,
    /\bT (was |got )?replaced by (the )?T\b/,
  ];
  const backward = [
    /\bswapped in (the |my )?T (for|in place of) (the |my )?T\b/,
    /\bT (in place of|instead of|rather than) (the |my )?T\b/,
    /\b(took|used|wore) (the |my )?T (in place of|instead of) (the |my )?T\b/,
    /\bT (on|in) ,? ?(the )?T (off|out)\b/,
    /\bT replaces? (the |my )?T\b/,
  ];
  const isForward = forward.some((row) => row.test(words));
  if (!isForward && !backward.some((row) => row.test(words))) return null;
  return isForward ? { gone: a, came: b } : { gone: b, came: a };
}
