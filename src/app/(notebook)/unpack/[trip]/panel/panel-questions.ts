import type { Frost, Symptom, Mark } from "@/core/model";
import {
  CAUSES,
  COMPLAINT_WHATS,
  EXIT_HOWS,
  FROSTS,
  OWNER_CALLS,
  TROUBLES,
  WHYS_UNUSED,
  COSTS,
  FIXES,
} from "@/core/model/lists";
import type { Thing } from "../pack/pockets";

export const FROST_WORDS: Readonly<Record<Frost, string>> = {
  kept: "kept from freezing",
  froze: "froze wet",
  unknown: "frost: nobody knows",
};

export type Said = Partial<Mark>;
export type Panel = "trouble" | "complaint" | "why" | "call" | "exit" | "amount" | "frost" | "note" | "more";

/** One answer: is it given, and what giving it (or taking it back) says. */
interface PanelAnswer {
  readonly word: string;
  readonly isGiven: (mark: Said) => boolean;
  readonly give: (mark: Said) => Said;
  readonly takeBack: (mark: Said) => Said;
}

/** One question with a few answers; a digit gives one of the first nine. */
export interface PanelQuestion {
  readonly name: string;
  readonly answers: readonly PanelAnswer[];
}

type OneOf = "cause" | "fix" | "cost" | "why" | "call" | "frost";

/** A question with one answer at a time. */
const one = <F extends OneOf>(
  name: string,
  field: F,
  values: readonly NonNullable<Mark[F]>[],
  wordOf: (value: NonNullable<Mark[F]>) => string = String,
): PanelQuestion => ({
  name,
  answers: values.map((value) => ({
    word: wordOf(value),
    isGiven: (mark) => mark[field] === value,
    give: () => ({ [field]: value }),
    takeBack: () => ({ [field]: null }),
  })),
});

/** A question with any number of answers. */
const several = <F extends "troubles" | "symptoms">(
  name: string,
  field: F,
  values: readonly Mark[F][number][],
): PanelQuestion => ({
  name,
  answers: values.map((value) => {
    const list = (mark: Said): readonly string[] => mark[field] ?? [];
    const without = (mark: Said) => list(mark).filter((each) => each !== value);
    return {
      word: value,
      isGiven: (mark) => list(mark).includes(value),
      give: (mark) => ({ [field]: [...without(mark), value] }),
      takeBack: (mark) => ({ [field]: without(mark) }),
    };
  }),
});

const COMPLAINT: PanelQuestion = {
  name: "What was wrong",
  answers: COMPLAINT_WHATS.map((what) => {
    const without = ({ complaints = [] }: Said) => complaints.filter((each) => each.what !== what);
    return {
      word: what,
      isGiven: ({ complaints = [] }) => complaints.some((each) => each.what === what),
      give: (mark) => ({ complaints: [...without(mark), { what, on: null }] }),
      takeBack: (mark) => ({ complaints: without(mark) }),
    };
  }),
};

/** Ground and weather that a complaint may name, where it was only there. */
const ONLY_ON = ["rock", "road", "mud", "sand", "rain", "wind", "cold", "heat", "snow or ice"] as const;
const ONLY_ON_WORDS: Readonly<Partial<Record<(typeof ONLY_ON)[number], string>>> = {
  rock: "hard or rocky ground",
};

/** Said of every complaint of the mark: a thing that was sore and slow was so in one place. */
const COMPLAINT_ON: PanelQuestion = {
  name: "Only on",
  answers: ONLY_ON.map((on) => {
    const all = ({ complaints = [] }: Said, only: (typeof ONLY_ON)[number] | null) => ({
      complaints: complaints.map(({ what }) => ({ what, on: only })),
    });
    return {
      word: ONLY_ON_WORDS[on] ?? on,
      isGiven: ({ complaints = [] }) => complaints.length > 0 && complaints.every((each) => each.on === on),
      give: (mark) => all(mark, on),
      takeBack: (mark) => all(mark, null),
    };
  }),
};

const EXIT: PanelQuestion = {
  name: "It left the pack",
  answers: EXIT_HOWS.map((how) => ({
    word: how,
    isGiven: ({ exit }) => exit?.how === how,
    give: ({ exit }) => ({ exit: { how, for: exit?.for ?? null } }),
    takeBack: () => ({ exit: null }),
  })),
};

const WHAT = several("How bad", "troubles", TROUBLES);
const CAUSE = one("Why", "cause", CAUSES);
const FIX = one("On the spot", "fix", FIXES);
const COST = one("It cost", "cost", COSTS);
const WHY = one("Why unused", "why", WHYS_UNUSED);
const CALL = one("Your call", "call", OWNER_CALLS);
/** Asked in the row itself, where the trip had frost. */
export const FROST = one("Frost", "frost", FROSTS, (frost) => FROST_WORDS[frost]);
const SEEN = "To be seen on it";
const seen = (symptoms: readonly Symptom[]) => several(SEEN, "symptoms", symptoms);

export function questionsOf(panel: Panel, { freezes, symptoms }: Thing): readonly PanelQuestion[] {
  switch (panel) {
    case "trouble":
      return [WHAT, seen(symptoms), CAUSE, FIX, COST];
    case "complaint":
      return [COMPLAINT, COMPLAINT_ON];
    case "why":
      return [WHY];
    case "call":
      return [CALL];
    case "exit":
      return [EXIT, CAUSE];
    case "frost":
      return freezes ? [FROST] : [];
    case "amount":
    case "note":
      return [];
    case "more":
      return [WHY, WHAT, seen(symptoms), COMPLAINT, COMPLAINT_ON, CAUSE, EXIT, CALL];
  }
}

/** Answers shown until all are asked for. */
const LIKELIEST = 8;

/** A question with its likeliest answers, and whatever is answered already. */
const shortened = (question: PanelQuestion, mark: Said): PanelQuestion => ({
  ...question,
  answers: question.answers.filter(({ isGiven }, n) => n < LIKELIEST || isGiven(mark)),
});

/** A panel's questions at first: of what is to be seen on it, the likeliest of its kind. */
export function shortQuestions(
  panel: Panel,
  thing: Thing,
  mark: Said,
  hasLeft: boolean,
): readonly PanelQuestion[] {
  if (panel === "more") return fittingQuestions(thing, mark, hasLeft);
  return questionsOf(panel, thing).map((question) =>
    question.name === SEEN ? shortened(question, mark) : question,
  );
}

/**
 * What fits what was pressed: of what failed, what is to be seen; of what was used, what was wrong with it; of
 * what was not, why.
 */
function fittingQuestions({ symptoms }: Thing, mark: Said, hasLeft: boolean): readonly PanelQuestion[] {
  const left = hasLeft ? [EXIT] : [];
  if (mark.troubles?.includes("failed")) return [shortened(seen(symptoms), mark), FIX, CAUSE, ...left];
  if (mark.use === "unused") return [WHY, ...left];
  const only = mark.complaints?.length ? [COMPLAINT_ON] : [];
  return [WHAT, shortened(COMPLAINT, mark), ...only, ...left];
}
