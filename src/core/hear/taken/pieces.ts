import type { HeardSentence } from "../facts";

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
