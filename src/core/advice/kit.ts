import { isSameTaste } from "../belief/taste";
import { openCase, resurvey, survey, tasteIn, touchedBy, type Survey } from "../decide/case";
import { withSchool, type Book } from "../ledger/book";
import type { NextOuting } from "../ledger/next-outing";
import type { ItemId, Job, SchoolName } from "../model";
import { findingOf } from "../reasons/finding";
import type { FullItem } from "../trade/full-item";
import { additions, type Addition } from "./add";
import {
  adviceOf,
  advise,
  isPressing,
  isPutAside,
  lastUse,
  leavesForGood,
  type Advice,
  type Verdict,
} from "./advise";
import { kitJobs } from "./kit-law";
import { gapsIn, type Gap } from "./trust";

/** What is to be done about all that is owned: the advice on each thing, and what only the whole of them says. */
export interface Kit {
  readonly book: Book;
  readonly surveyed: Survey;
  /** In the order of the book. */
  readonly things: readonly Advice[];
  /** The same, each by itself: before what two of them can't both be told. */
  readonly alone: readonly Advice[];
  readonly of: (id: ItemId) => Advice | undefined;
  readonly toAdd: readonly Addition[];
  /** Jobs that nothing trusted does of what would go. */
  readonly gaps: readonly Gap[];
  /** What must not go out as it is. */
  readonly notOut: readonly Advice[];
  /** What may stay at home for good, its grams, and what it was lugged for nothing. */
  readonly spare: {
    readonly things: readonly Advice[];
    readonly grams: number;
    readonly deadGramMetres: number;
  };
  /** How many things want something done before the next trip. */
  readonly pressing: number;
}

/** Judges a whole log, a thing at a time: long work gives way between them. */
export function* judging(book: Book): Generator<void, Kit> {
  const surveyed = survey(book);
  const alone: Advice[] = [];
  for (const item of book.items) {
    yield;
    alone.push(advise(openCase(item, surveyed)));
  }
  return kitFrom(surveyed, alone);
}

/** The same at one go. */
export const kitOf = (book: Book): Kit => kitOfSurvey(survey(book));

const kitOfSurvey = (surveyed: Survey): Kit =>
  kitFrom(
    surveyed,
    surveyed.book.items.map((item) => advise(openCase(item, surveyed))),
  );

/** The same things by another school's thresholds. */
export const bySchool = ({ surveyed, book }: Kit, school: SchoolName): Kit =>
  kitOfSurvey({ ...surveyed, book: withSchool(book, school) });

/** The same things before another trip. */
export const underNext = ({ surveyed, book }: Kit, next: NextOuting): Kit =>
  kitOfSurvey({ ...surveyed, book: { ...book, next } });

/**
 * In a book that differs in the histories of some items: judged again is what these may touch; everything,
 * where it tells something else of the owner's taste.
 */
export function kitAfter(before: Kit, book: Book, changed: readonly ItemId[]): Kit {
  const { taste, ...known } = changed.reduce((survey, id) => resurvey(survey, book, id), {
    ...before.surveyed,
    book,
  });
  const surveyed = { ...known, taste: tasteIn(known) };
  if (!isSameTaste(taste, surveyed.taste)) return kitOfSurvey(surveyed);
  const touched = new Set(changed.flatMap((id) => touchedBy(surveyed, id)));
  return kitFrom(
    surveyed,
    before.alone.map((advice) =>
      touched.has(advice.case.item)
        ? advise(openCase(advice.case.item, surveyed))
        : { ...advice, case: { ...advice.case, book, survey: surveyed } },
    ),
  );
}

function kitFrom(surveyed: Survey, alone: readonly Advice[]): Kit {
  const { book } = surveyed;
  const things = keptTogether(alone, book);
  const byId = new Map(things.map((advice) => [advice.case.item.id, advice]));
  const spare = things.filter(leavesForGood);
  const toAdd = additions(book, things);
  return {
    book,
    surveyed,
    things,
    alone,
    of: (id) => byId.get(id),
    toAdd,
    gaps: gapsIn(
      things,
      ({ case: { standing }, leaves }) => standing === "active" && leaves === null,
      book.next.offers,
    ),
    notOut: things.filter(({ asks }) => asks.some(({ urgency }) => urgency === "now")),
    spare: {
      things: spare,
      grams: spare.reduce((sum, { saves }) => sum + saves, 0),
      deadGramMetres: spare.reduce((sum, { leaves }) => sum + leaves!.stake.deadGramMetres, 0),
    },
    pressing:
      things.filter(({ asks }) => asks.some(isPressing)).length +
      toAdd.filter((addition) => isPressing(addition) && !isPutAside(addition)).length,
  };
}

/**
 * What each thing is told by itself is followed together: of two warm jackets each may go, not both. Where
 * all that does a job of the kit would be left for good, the one that was used last stays, the lightest of
 * those; where its owner agreed to leave them all, that stands.
 */
function keptTogether(alone: readonly Advice[], book: Book): readonly Advice[] {
  const stays = new Map<Advice, { job: Job; others: readonly FullItem[] }>();
  const goes = (advice: Advice) => stays.has(advice) || !leavesForGood(advice);
  const leavesFor = new Map<Advice, FullItem>();
  for (const job of kitJobs(book.next)) {
    const doing = alone.filter(
      ({ case: { item, standing } }) => standing === "active" && item.jobs.includes(job),
    );
    if (doing.some(goes)) continue;
    const [first] = doing
      .filter(({ leaves }) => leaves!.ruling === null)
      .toSorted((a, b) => lastUse(b) - lastUse(a) || gramsOf(a) - gramsOf(b));
    if (!first) continue;
    const others = doing.filter((advice) => advice !== first);
    stays.set(first, { job, others: others.map(({ case: { item } }) => item) });
    for (const other of others) leavesFor.set(other, first.case.item);
  }
  if (stays.size === 0) return alone;
  return alone.map((advice) => {
    const kept = stays.get(advice);
    if (kept) return keptAfterAll(advice, kept);
    const keeps = leavesFor.get(advice);
    return keeps ? instead(advice, keeps) : advice;
  });
}

/** What told it to be left is taken back; what else is to be done about it stands. */
function keptAfterAll(
  { case: one, verdicts }: Advice,
  facts: { job: Job; others: readonly FullItem[] },
): Advice {
  const keep: Verdict = {
    ...findingOf({
      verb: "keep",
      reason: "last of its job",
      facts,
      urgency: "watch",
      sureness: "sure",
      trips: verdicts[0].trips,
    }),
    ruling: null,
    also: [],
    stake: { grams: null, deadGramMetres: 0, price: null },
  };
  return adviceOf(one, [keep, ...verdicts.slice(1)]);
}

const instead = ({ case: one, verdicts: [lead, ...rest] }: Advice, keeps: FullItem): Advice =>
  adviceOf(one, [{ ...lead, keeps }, ...rest]);

const gramsOf = ({ case: { item } }: Advice) => item.weight?.g ?? 0;
