import { lastOf } from "../sums/there";
import type { Book } from "../ledger/book";
import { groupBy } from "../sums/group";
import type { Outing } from "../ledger/outing";
import type { Job, Missed, Ruling, Urgency } from "../model";
import type { FullItem } from "../trade/full-item";
import { isOffered, JOB_RULES } from "../trade/jobs";
import { inPlain, namedBy } from "../trade/words/names";
import { findingOf, type Finding } from "../reasons/finding";
import type { Advice } from "./advise";
import { stands } from "../reasons/rulings";
import { entriesOf } from "../sums/keys";

/** Something missed on the way, or a job that nothing does. It belongs to the list, not to an item. */
export type Addition = Finding & {
  readonly what: string;
  /** The job that nothing does; null where a thing was missed by its name. */
  readonly job: Job | null;
  /** Times that it was missed. */
  readonly times: number;
  /** On the shelf already, left at home when it was missed: to be taken, not bought. */
  readonly owned: FullItem | null;
  /**
   * The owner's ruling on it, while that stands: until it is missed again, or the trips have gone by after
   * which to ask.
   */
  readonly ruling: Ruling | null;
};

type Found = Finding & Omit<Addition, "ruling" | keyof Finding>;

/** What to add to the list. A job whose thing is to be bought again is not named a second time. */
export function additions(book: Book, advised: readonly Advice[]): Addition[] {
  const boughtAgain = new Set(
    advised.flatMap(({ case: { item }, verdicts: [lead] }) => (lead.reason === "buy again" ? item.jobs : [])),
  );
  const undone = jobsUndone(book).filter(({ job }) => !boughtAgain.has(job!));
  return [...undone, ...missed(book)].map((addition) => {
    const ruling = book.rulingsToAdd(addition.what).at(-1);
    const holds = ruling && stands(ruling, { trips: book.outings.length, troubles: addition.times });
    return { ...addition, ruling: holds ? ruling : null } as Addition;
  });
}

interface MissedOn extends Missed {
  readonly outing: Outing;
}

/**
 * Missed: a leaning when it was once, sure when twice, or once where that was dangerous or ended the trip;
 * and nothing like it bought or taken along since.
 */
function missed(book: Book): Found[] {
  const told = book.outings.flatMap((outing) =>
    outing.trip.missed.map((one): MissedOn => ({ ...one, outing })),
  );
  return [...groupBy(told, ({ what }) => inPlain(what)).values()].flatMap((its): Found[] => {
    const grave = its.some(({ cost }) => cost === "danger" || cost === "trip-ending");
    const { what, outing: last, cost } = lastOf(its);
    const atHome = leftAtHome(book, what, last);
    if (atHome.some((item) => isTakenSince(item, last, book))) return [];
    const [owned = null] = atHome;
    const sure = its.length > 1 || grave;
    const base = {
      verb: "add" as const,
      urgency: urgencyToAdd(grave, sure),
      sureness: sure ? ("sure" as const) : ("leaning" as const),
      trips: its.map(({ outing }) => outing.trip.id),
    };
    const finding = owned
      ? findingOf({ ...base, reason: "take it along", facts: { owned, times: its.length } })
      : findingOf({ ...base, reason: "missed", facts: { times: its.length, cost } });
    return [{ ...finding, what, job: null, times: its.length, owned }];
  });
}

/** On the shelf, and not in the pack when it was missed. */
function leftAtHome(book: Book, what: string, last: Outing): FullItem[] {
  const isCalled = namedBy(what);
  return book.items.filter(
    (item) =>
      item.state === "active" &&
      isCalled(item) &&
      book
        .carriedOf(item.id)
        .every(({ outing, carry }) => outing !== last || carry.legs !== null || carry.mark?.exit),
  );
}

const isTakenSince = (item: FullItem, last: Outing, { carriedOf, next }: Book) =>
  (item.acquired ?? "") > last.trip.ends ||
  carriedOf(item.id).some(({ outing }) => outing.n > last.n) ||
  (next.items?.has(item.id) ?? false);

/**
 * Of the essential systems, those that nothing in use does, once the owner has said that the list is whole,
 * and a night was spent out.
 */
function jobsUndone({ settings, items, outings, next }: Book): Found[] {
  const active = items.filter(({ state }) => state === "active");
  if (!settings.wholeList || !outings.some(({ nights }) => nights > 0)) return [];
  const done = new Set(active.flatMap(({ jobs }) => jobs));
  return entriesOf(JOB_RULES).flatMap(([job, rule]): Found[] => {
    if (!rule.lacking || done.has(job) || (job === "sun protection" && done.has("head shaded"))) return [];
    const trip = lastOf(outings).trip;
    if (isOffered(job, trip.offers) && next.name === null) return [];
    const finding = findingOf({
      verb: "add",
      reason: "nothing does it",
      facts: { job },
      urgency: "before next trip",
      sureness: "likely",
      trips: [],
    });
    return [{ ...finding, what: rule.lacking, job, times: 0, owned: null }];
  });
}

/** How soon something missed is to be got: by what lacking it costs, then by how sure it is. */
function urgencyToAdd(grave: boolean, sure: boolean): Urgency {
  if (grave) return "before next trip";
  return sure ? "when convenient" : "watch";
}
