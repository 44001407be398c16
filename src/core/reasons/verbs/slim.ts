import type { Marked } from "../../ledger/book";
import { tripsOf } from "../../ledger/history";
import type { Supply } from "../../model";
import type { Case } from "../../decide/case";
import { namedBy } from "../../trade/words/names";
import { findingOf, type Finding, type Rule } from "../finding";
import { said, speaks, surenessOf, urgencyBy } from "../sureness";

/** Told so often among its chances, it speaks though it was not said the last time. Common practice, no source. */
const OFTEN = 0.2;

function tooMuchOfIt(one: Case): Finding | null {
  const told = one.told("too much of it");
  const { use, item } = one;
  const all = use.taken + use.refused + use.idle;
  const often = told.marks.length > 1 && told.chances >= all * OFTEN;
  if (!speaks(told, one) && !often) return null;
  const there = item.pieces - one.history.piecesOut;
  // All that is still there was wanted, as its owner said last: nothing of it is too much.
  const last = one.marked.findLast(({ mark }) => mark.enough !== null)?.mark.enough ?? null;
  if (last !== null && last >= there) return null;
  // One to spare, of what is still there, is no surplus.
  const isSpare = ({ mark }: Marked) =>
    mark.why !== "too much of it" && mark.enough !== null && mark.enough >= there - 1;
  if (item.pieces > 3 && told.marks.every(isSpare)) return null;
  const sureness = surenessOf(told.chances);
  const enough = told.marks.map(({ mark }) => mark.enough).find((each) => each !== null) ?? null;
  return findingOf({
    verb: "slim",
    reason: "too much of it",
    facts: { ...said(told, one), enough, pieces: item.pieces },
    urgency: urgencyBy(sureness),
    sureness,
    trips: tripsOf(told.marks),
  });
}

/** A kit, or several of something, named as one that could have stayed: less of it, not none. */
function keptTelling(one: Case): Finding | null {
  const told = one.told("could have stayed");
  const { item, kind } = one;
  if (!speaks(told, one) || !(kind.contents || item.pieces > 1)) return null;
  const sureness = surenessOf(told.chances);
  return findingOf({
    verb: "slim",
    reason: "too much of it",
    facts: { ...said(told, one), enough: null, pieces: item.pieces },
    urgency: urgencyBy(sureness),
    sureness,
    trips: tripsOf(told.marks),
  });
}

/** Brought home in this share or more, there was too much of it. Common practice, no source. */
const MUCH_BACK = 1 / 3;

/** What came home beyond the reserve, which is cover. */
const surplusOf = ({ back, reserve }: Supply) => Math.max(0, back - reserve);

/** Fuel, food or water carried home, trip after trip; a trip cut short excuses it. */
function carriedHome(one: Case): Finding | null {
  const { item, kind, marked } = one;
  if (!kind.contents || item.cover) return null;
  const told = marked.flatMap(({ outing }) =>
    outing.trip.cut
      ? []
      : outing.trip.supplies.filter(({ what }) => namedBy(what)(item)).map((supply) => ({ supply, outing })),
  );
  const out = told.reduce((sum, { supply }) => sum + supply.out, 0);
  const back = told.reduce((sum, { supply }) => sum + surplusOf(supply), 0);
  const last = told.at(-1)?.supply;
  if (!last || out === 0 || back < out * MUCH_BACK || surplusOf(last) < last.out * MUCH_BACK) return null;
  const sureness = surenessOf(told.length);
  return findingOf({
    verb: "slim",
    reason: "carried home",
    facts: { back, out, unit: last.unit, trips: told.length },
    urgency: urgencyBy(sureness),
    sureness,
    trips: told.map(({ outing }) => outing.trip.id),
  });
}

/** Weeks out from which a kit that stayed shut may be smaller; never gone. Common practice, no source. */
const DAYS_SHUT = 21;

function hardlyOpened(one: Case): Finding | null {
  const { item, kind, marked } = one;
  if (!kind.contents || !item.cover || (item.weight?.g ?? 0) < kind.fullKit) return null;
  const shut = marked.filter(({ mark }) => mark.use === "unused");
  const days = Math.round(shut.reduce((sum, { outing, part }) => sum + outing.days * part, 0));
  if (days < DAYS_SHUT || shut.at(-1) !== marked.at(-1)) return null;
  return findingOf({
    verb: "slim",
    reason: "hardly opened",
    facts: { days },
    urgency: "when convenient",
    sureness: "perhaps",
    trips: tripsOf(shut),
  });
}

/** It earns its place, but there is too much of it. */
export const SLIM: readonly Rule[] = [tooMuchOfIt, keptTelling, carriedHome, hardlyOpened];
