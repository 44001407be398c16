import {
  borneAfter,
  isQuieter,
  leaningOn,
  mayBeBorne,
  movesLines,
  type Leaning,
  type Patience,
  type Taste,
} from "../../belief/taste";
import type { AdviceFamily, ComplaintWhat, ItemId } from "../../model";
import { COMPLAINT_RULES } from "../../trade/symptoms";
import { count, inWords, listWords, times } from "../../units/speak";

/** Something learned of the owner's taste, and what it changes, in a sentence. */
export interface Learned {
  readonly about: AdviceFamily | ComplaintWhat;
  readonly sentence: string;
}

/**
 * All that was learned, where it was told often enough to be said.
 *
 * @param nameOf the name of a thing that is still here
 */
export const sayTaste = (
  { leanings, patience }: Taste,
  nameOf: (id: ItemId) => string | undefined,
): Learned[] => [
  ...[...leanings.values()]
    .filter(({ shown }) => shown >= A_HABIT)
    .map((each) => ({ about: each.family, sentence: sayLeaning(each, insistedOn(each, nameOf)) })),
  ...[...patience.values()]
    .filter(({ what, borne, letGo }) => mayBeBorne(what) && borne + letGo >= A_HABIT)
    .map((each) => ({ about: each.what, sentence: sayPatience(each) })),
];

/** Things of which it is said less firmly by what was done about each of them, by name. */
const insistedOn = (leaning: Leaning, nameOf: (id: ItemId) => string | undefined): string[] =>
  isQuieter(leaning)
    ? []
    : [...leaning.byThing.keys()]
        .filter((id) => isQuieter(leaningOn(leaning, id)))
        .flatMap((id) => nameOf(id) ?? []);

/** Answers from which a habit is spoken of. */
const A_HABIT = 3;

/** How an owner takes such advice, and what that changes. */
export function sayLeaning(leaning: Leaning, insisted: readonly string[] = []): string {
  const { family, shown, followed, used } = leaning;
  const not = shown - followed;
  const { told, did, didNot } = FAMILIES[family];
  const after =
    family === "leave it" && not > 0 ? `, and used them ${used === 0 ? "never" : times(used)}` : "";
  const answer = not > followed ? `${didNot} ${howOften(not, shown)}` : `${did} ${howOften(followed, shown)}`;
  return `${told}, you ${answer}${after}: ${effectOf(leaning)}${sayInsisted(insisted)}.`;
}

const howOften = (n: number, of: number) => (n === of ? "each time" : `${times(n)} of ${inWords(of)}`);

/** What was said, and what is done and not done about it. */
const FAMILIES: Readonly<
  Record<AdviceFamily, { readonly told: string; readonly did: string; readonly didNot: string }>
> = {
  "leave it": {
    told: "Told to leave things at home",
    did: "left them",
    didNot: "took them along",
  },
  "another sort": {
    told: "Told to try another sort",
    did: "left the old one",
    didNot: "went on with what you have",
  },
  thinner: { told: "Told to take less of a thing", did: "agreed", didNot: "said no" },
  "only when": {
    told: "Told to bring things only in their weather",
    did: "left them without it",
    didNot: "took them along without it",
  },
  "see to it": {
    told: "Told to see to things first",
    did: "did",
    didNot: "took them as they were",
  },
};

function effectOf(leaning: Leaning): string {
  const parts = [
    ...(movesLines(leaning) ? [`you are asked a little ${leaning.lean < 0 ? "later" : "sooner"}`] : []),
    ...(isQuieter(leaning) ? [QUIETER[leaning.family]] : []),
  ];
  return parts.length > 0 ? parts.join(", ") : "about as others do";
}

/** Things named in a sentence; more are counted. */
const NAMED = 3;

function sayInsisted(names: readonly string[]): string {
  if (names.length === 0) return "";
  const rest = names.length - NAMED;
  const told = rest > 0 ? [...names.slice(0, NAMED), count(rest, "other")] : names;
  return `; what you insist on, ${listWords(told, "and")}, is told less firmly`;
}

const QUIETER: Readonly<Record<AdviceFamily, string>> = {
  "leave it": "and less firmly",
  "another sort": "you are asked less firmly",
  thinner: "you are asked less firmly",
  "only when": "you are asked less firmly",
  "see to it": "what would only be a nuisance is said less firmly",
};

function sayPatience(patience: Patience): string {
  const { what, borne, letGo } = patience;
  const after = borneAfter(patience);
  const gone = letGo === 0 ? "none" : inWords(letGo);
  const trips = (n: number) => `${inWords(n)} ${n === 1 ? "trip" : "trips"}`;
  const asked =
    after === 0 ? "you are not asked about it" : `after ${trips(after)} with one you are not asked again`;
  return `Of things that you called ${COMPLAINT_RULES[what].words} you let ${gone} go, and took them on ${trips(borne)} more; ${asked}.`;
}
