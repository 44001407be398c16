import type { ItemId } from "../model";
import type { FullItem } from "../trade/full-item";
import { namesOf, readSentence, withNumbered, withoutStops, type ReadSentence } from "./clause";
import type { Heard, HeardSentence } from "./facts";
import { Listener } from "./listener";
import type { Named } from "./things";
import { sentencesOf } from "./text/tokens";

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
  const names = namesOf(things, text);
  let topic: readonly Named[] = [];
  let group: readonly Named[] = [];
  let harmed: ReadonlySet<ItemId> = new Set();
  let saidLast: Listener["saidLast"] = null;
  let sortNamed: string | null = null;
  let isAsked = false;
  let isAskedOf = false;
  const sentences = sentencesOf(text).flatMap((sentence) =>
    withoutStops(sentence.text, names).map((part) => ({ text: part.text, at: sentence.at + part.at })),
  );
  const told = sentences.map((sentence): HeardSentence => {
    const read = withNumbered(readSentence(sentence.text, names), group);
    const listener = new Listener(read, names, topic, harmed);
    listener.saidLast = saidLast;
    listener.sortNamed = sortNamed;
    listener.isAskedOf = isAskedOf;
    const heard = listener.listen(isAsked);
    ({ topic, harmed, saidLast, sortNamed, asksWhatWasMissed: isAsked, asksOfThings: isAskedOf } = listener);
    group = numberedIn(read) ?? group;
    return {
      text: sentence.text,
      heard: heard.map((each) => ({
        ...each,
        from: each.from.map(({ at, end }) => ({ at: at + sentence.at, end: end + sentence.at })),
      })),
    };
  });
  return sentences.length > FEWEST_OF_TALK ? withSleptIn(told) : told;
}

/** Several of a kind that a sentence names and that bear numbers: "shoes, five pairs"; null: it names none. */
const numberedIn = ({ units }: ReadSentence): readonly Named[] | null =>
  units
    .flatMap(({ mentions }) => mentions)
    .find(({ things }) => things.length > 1 && things.every(({ name }) => /\d$/.test(name)))?.things ?? null;

/** From so many sentences on it is a talk, in which what was slept in is told as used; a line tells the night alone. */
const FEWEST_OF_TALK = 5;

function withSleptIn(sentences: readonly HeardSentence[]): HeardSentence[] {
  const told = new Set(
    sentences.flatMap(({ heard }) =>
      heard.flatMap(({ fact }) => (fact.about === "thing" && fact.use ? [fact.item] : [])),
    ),
  );
  return sentences.map(({ text, heard }) => ({
    text,
    heard: heard.flatMap((each) => {
      if (each.fact.about !== "night") return [each];
      const used = each.fact.slept.filter((item) => !told.has(item));
      for (const item of used) told.add(item);
      return [
        each,
        ...used.map((item): Heard => ({ fact: { about: "thing", item, use: "used" }, from: each.from })),
      ];
    }),
  }));
}
