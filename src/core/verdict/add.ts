import { inPlain, isCalled, withDefaults, type FullItem } from "../kinds";
import type { Book, Outing } from "../ledger/book";
import { groupBy } from "../ledger/group";
import { Item, type Job, type Ruling, type TripId } from "../model";
import { count, listWords } from "../units/speak";
import { ESSENTIAL_JOBS } from "./jobs";
import type { Judgement } from "./judge";
import { stands } from "./rulings";
import type { Finding } from "./verdict";
import { aThing } from "./words";

/** Something missed on the way, or a job that nothing does. It belongs to the list, not to an item. */
export interface Addition extends Finding {
  readonly what: string;
  /** The job that nothing does; null where a thing was missed by its name. */
  readonly job: Job | null;
  /** Times that it was missed. */
  readonly times: number;
  /** On the shelf already, left at home when it was missed: to be taken, not bought. */
  readonly owned: FullItem | null;
  /** The owner's ruling on it, while that stands: until it is missed again, or the trips have gone by after which to ask. */
  readonly ruling: Ruling | null;
}

/** What to add to the list. A job whose thing is to be bought again is not named a second time. */
export function additions(book: Book, judgements: readonly Judgement[]): Addition[] {
  const boughtAgain = new Set(
    judgements.flatMap(({ case: { item, state }, verdicts: [lead] }) =>
      state !== "active" && lead.verb === "replace" ? item.jobs : [],
    ),
  );
  return [...jobsUndone(book).filter(({ job }) => !boughtAgain.has(job!)), ...missed(book)].map((found) => {
    const ruling = book.rulingsToAdd(found.what).at(-1);
    return {
      ...found,
      ruling: ruling && stands(ruling, { trips: book.outings.length, troubles: found.times }) ? ruling : null,
    };
  });
}

/** What would settle an addition, found by asking the engine; null where none of what may be done about it does. */
export function settledBy(
  { what, job, owned }: Addition,
  book: Book,
  judgements: readonly Judgement[],
): string | null {
  const bought = Item.parse({
    id: "supposed",
    name: what,
    kind: "other",
    acquired: book.today,
    ...(job && { jobs: [job] }),
  });
  const suppositions: { readonly what: string; readonly book: Book }[] = owned
    ? [{ what: `The ${aThing(owned)} taken along once`, book: takenAlong(book, owned) }]
    : [
        {
          what: job ? "Something on the shelf with that job" : "One bought, and on the shelf",
          book: { ...book, items: [...book.items, withDefaults(bought, book.rules.kindOf(bought))] },
        },
      ];
  return (
    suppositions.find((supposed) => additions(supposed.book, judgements).every((each) => each.what !== what))
      ?.what ?? null
  );
}

export const saySettled = (by: string | null) =>
  by ? `${by}: then it is settled.` : "Nothing that can be said here.";

function takenAlong(book: Book, owned: FullItem): Book {
  const last = book.outings.at(-1)!;
  const outing: Outing = { ...last, n: last.n + 1 };
  return {
    ...book,
    carriedOf: (id) =>
      id === owned.id
        ? [
            ...book.carriedOf(id),
            { outing, part: 1, mark: null, carry: { item: id, legs: null, mark: null } },
          ]
        : book.carriedOf(id),
  };
}

type Found = Omit<Addition, "ruling">;

/** Missed once where that was dangerous or ended a trip, or twice otherwise, and nothing like it bought or taken along since. */
function missed(book: Book): Found[] {
  const times = book.outings.flatMap((outing) => outing.trip.missed.map((one) => ({ ...one, outing })));
  return [...groupBy(times, ({ what }) => inPlain(what)).values()].flatMap((its): Found[] => {
    const grave = its.some(({ cost }) => cost === "danger" || cost === "trip-ending");
    if (its.length < 2 && !grave) return [];
    const { what, outing: last } = its.at(-1)!;
    const atHome = book.items.filter(
      (item) =>
        item.state === "active" &&
        isCalled(item, what) &&
        book.carriedOf(item.id).every(({ outing }) => outing !== last),
    );
    if (
      atHome.some(
        (item) =>
          (item.acquired ?? "") > last.trip.ends ||
          book.carriedOf(item.id).some(({ outing }) => outing.n > last.n),
      )
    )
      return [];
    const [owned = null] = atHome;
    const trips: TripId[] = its.map(({ outing }) => outing.trip.id);
    const where = `Missed on ${its.length === 1 ? last.trip.name : count(its.length, "trip")}${grave ? ", where it mattered" : ""}`;
    return [
      {
        what,
        job: null,
        times: its.length,
        owned,
        verb: "add",
        urgency: grave ? "before next trip" : "when convenient",
        sureness: grave || its.length > 2 ? "sure" : "likely",
        says: owned
          ? `${where}, and the ${aThing(owned)} is on the shelf. Take it along.`
          : `${where}. Add it.`,
        evidence: [{ text: `missed on ${count(its.length, "trip")}`, trips }],
        rule: "Added when missed twice, or once where that was dangerous or ended the trip.",
      },
    ];
  });
}

/** Things on a shelf below which it is no whole list yet, and says nothing about what is lacking. */
const A_WHOLE_LIST = 20;

const LACKING: Partial<Record<Job, { readonly what: string; readonly does: string }>> = {
  "treat water": { what: "Something to treat water", does: "treat water" },
  light: { what: "A light", does: "give light" },
  fire: { what: "Something to make fire", does: "make fire" },
  "find the way": { what: "Map and compass", does: "find the way" },
  "call for help": { what: "Something to call for help", does: "call for help" },
  "first aid": { what: "A first-aid kit", does: "treat an injury" },
  "stay dry": { what: "Rain protection", does: "keep you dry" },
  "stay warm": { what: "A warm layer", does: "keep you warm" },
  shelter: { what: "Shelter", does: "shelter you" },
  "sun protection": { what: "Sun protection", does: "keep the sun off" },
  mend: { what: "Something to mend with", does: "mend with" },
};

/** Of the essential systems, those that nothing in use does, once there is a whole list and a night was spent out. */
function jobsUndone(book: Book): Found[] {
  const active = book.items.filter((item) => item.state === "active");
  if (active.length < A_WHOLE_LIST || !book.outings.some(({ nights }) => nights > 0)) return [];
  const done = new Set(active.flatMap((item) => item.jobs));
  return ESSENTIAL_JOBS.flatMap((job): Found[] => {
    const lacking = LACKING[job];
    if (!lacking || done.has(job) || (job === "sun protection" && done.has("head shaded"))) return [];
    return [
      {
        what: lacking.what,
        job,
        times: 0,
        owned: null,
        verb: "add",
        urgency: "before next trip",
        sureness: "likely",
        says: `Nothing on the shelf is there to ${lacking.does}. Add it, or give the thing that does it that job.`,
        evidence: [
          { text: `none of ${count(active.length, "thing")} in use has the job “${job}”`, trips: [] },
        ],
        rule: `One of the essential systems: ${listWords(ESSENTIAL_JOBS)}.`,
      },
    ];
  });
}
