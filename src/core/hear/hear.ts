import type { ItemId } from "../model";
import type { FullItem } from "../trade/full-item";
import { namesOf, readSentence, withoutStops } from "./clause";
import type { HeardSentence } from "./facts";
import { Listener } from "./listener";
import type { Named } from "./things";
import { sentencesOf } from "./tokens";

export type { Named } from "./things";

/** An item as the ear knows it. */
export const namedOf = (
  { id, name, kind, pieces, jobs }: Pick<FullItem, "id" | "name" | "kind" | "pieces" | "jobs">,
  along: boolean,
): Named => ({
  along,
  id,
  name,
  kind,
  pieces,
  jobs,
});

/**
 * What a text says of the things on a shelf, sentence by sentence: the sentences put together are the text,
 * to the letter, and what is not understood stays in it. Wishes, fears, plans, what nearly happened and what
 * is somebody else's tell nothing.
 *
 * @param things what was along, then what else there is
 */
export function hear(text: string, things: readonly Named[]): HeardSentence[] {
  const names = namesOf(things);
  let topic: readonly Named[] = [];
  let harmed: ReadonlySet<ItemId> = new Set();
  const sentences = sentencesOf(text).flatMap((sentence) =>
    withoutStops(sentence.text, names).map((part) => ({ text: part.text, at: sentence.at + part.at })),
  );
  return sentences.map((sentence) => {
    const read = readSentence(sentence.text, names);
    const listener = new Listener(read, names, topic, harmed);
    const heard = listener.listen();
    ({ topic, harmed } = listener);
    return {
      text: sentence.text,
      heard: heard.map((each) => ({
        ...each,
        from: each.from.map(({ at, end }) => ({ at: at + sentence.at, end: end + sentence.at })),
      })),
    };
  });
}

/** A stretch of a text, heard or not, and where it begins. */
interface Piece {
  readonly text: string;
  readonly at: number;
  readonly isHeard: boolean;
}

/** A text in its stretches; put together they are the text, to the letter. */
export function piecesOf(sentences: readonly HeardSentence[]): Piece[] {
  const text = sentences.map((sentence) => sentence.text).join("");
  const spans = sentences
    .flatMap(({ heard }) => heard.flatMap(({ from }) => from))
    .toSorted((a, b) => a.at - b.at);
  const pieces: Piece[] = [];
  let at = 0;
  for (const span of spans) {
    if (span.end <= at) continue;
    const from = Math.max(at, span.at);
    if (from > at) pieces.push({ text: text.slice(at, from), at, isHeard: false });
    pieces.push({ text: text.slice(from, span.end), at: from, isHeard: true });
    at = span.end;
  }
  if (at < text.length) pieces.push({ text: text.slice(at), at, isHeard: false });
  return pieces;
}
