import jstat from "jstat";
import { leaningOn, letsGo, USUAL, USUAL_HAZARD } from "@/core/belief/taste";
import { saidOf } from "@/core/advice/said";
import type { Advice } from "@/core/advice/advise";
import { openBook, type Book } from "@/core/ledger/book";
import { nextLike } from "@/core/ledger/next-outing";
import { ADVICE_FAMILIES, COMPLAINT_WHATS } from "@/core/model/lists";
import { Settings, type AdviceFamily, type ItemId } from "@/core/model";
import { known } from "@/core/sums/there";
import { kitOf, type Kit } from "@/core/advice/kit";
import { isExpected } from "./policies";
import { randomFrom, seedOf } from "./random";
import { walk, type Before, type Outcome, type Policy } from "./walk";
import { FAILURE_COST, walkerOf, type Nature, type Outing } from "./world";

/** How an owner takes advice, in truth. */
export interface TrueTaste {
  readonly name: string;
  /** Chance that they do as told: to leave it, and to bring it only when. */
  readonly leaves: number;
  readonly onlyWhen: number;
  /** Chance after each trip that a thing they complained of is let go of: of all their things, which differ. */
  readonly letsGo: number;
  /** Chance that a thing once taken along, or left, is taken or left again without a thought. */
  readonly sticks: number;
}

/** The first is as every school supposes, the last as well, but thinks anew each time. */
export const TASTES: readonly [TrueTaste, ...TrueTaste[]] = [
  { name: "as the school supposes", leaves: 0.6, onlyWhen: 0.65, letsGo: 0.13, sticks: 0.5 },
  { name: "does all as told", leaves: 0.95, onlyWhen: 0.95, letsGo: 0.4, sticks: 0.5 },
  { name: "takes everything along", leaves: 0.08, onlyWhen: 0.08, letsGo: 0.02, sticks: 0.5 },
  { name: "leaves things, parts with none", leaves: 0.95, onlyWhen: 0.65, letsGo: 0.01, sticks: 0.5 },
  { name: "takes every layer along", leaves: 0.6, onlyWhen: 0.08, letsGo: 0.13, sticks: 0.5 },
  { name: "restless: takes it, then sells it", leaves: 0.2, onlyWhen: 0.65, letsGo: 0.5, sticks: 0.5 },
  { name: "as supposed, each time anew", leaves: 0.6, onlyWhen: 0.65, letsGo: 0.13, sticks: 0 },
];

/** Trips from which what is foreseen of an owner is scored. */
const AFTER = 6;
/** Trips walked by each. */
const TRIPS = 24;
/** How alike their things are in that: each has its own chance, drawn from a Beta of so many trips. */
const ALIKE = 3;
/** How well something was foreseen: the sum of −ln of the chance given to what came, and how often it was asked. */
export interface LogLoss {
  readonly of: number;
  readonly sum: number;
}
const NONE: LogLoss = { of: 0, sum: 0 };
const scored = ({ of, sum }: LogLoss, chance: number, came: boolean): LogLoss => ({
  of: of + 1,
  sum: sum - Math.log(Math.max(1e-9, came ? chance : 1 - chance)),
});

export interface TasteOutcome extends Outcome {
  /** One step ahead: by what was learned, and by what every school supposes. */
  readonly packed: Foreseen;
  readonly letGo: Foreseen;
}

interface Foreseen {
  readonly learned: LogLoss;
  readonly supposed: LogLoss;
}

/** Forgets all that could be learned. */
const UNLEARNED = Settings.parse({
  forgotten: Object.fromEntries(
    [...ADVICE_FAMILIES, ...COMPLAINT_WHATS].map((about) => [about, "2199-12-31"]),
  ),
});

function judgedFor({ log, today, outing }: Before, settings: Settings): Kit {
  const book: Book = {
    ...openBook({ ...log, settings }, today),
    next: nextLike({ days: outing.days, nights: outing.days - 1, metres: outing.metres }),
  };
  return kitOf(book);
}

/** What of the advice asks its owner to leave a thing on this trip, by its family. */
function askedToLeave({ leaves }: Advice, outing: Outing): AdviceFamily | null {
  if (!leaves) return null;
  if (!leaves.when) return "leave it";
  return isExpected(leaves.when, outing) ? null : "only when";
}

/** Walks an owner of a taste through their trips, advised by what is learned of them or without. */
export function walkWithTaste(seed: number, nature: Nature, taste: TrueTaste, learns: boolean): TasteOutcome {
  const foreseen = { packed: { learned: NONE, supposed: NONE }, letGo: { learned: NONE, supposed: NONE } };
  const note = (what: "packed" | "letGo", n: number, learnt: number, usual: number, came: boolean) => {
    if (n < AFTER) return;
    const { learned, supposed } = foreseen[what];
    foreseen[what] = { learned: scored(learned, learnt, came), supposed: scored(supposed, usual, came) };
  };
  const walker = walkerOf(seed, nature);
  const answered = new Map<ItemId, boolean>();
  const luckOf = ({ holders, outing }: Before, id: ItemId, stream: number) =>
    randomFrom(seedOf(seed, stream, outing.n, holders.find((holder) => holder.id === id)!.slot.n));
  let kit: Kit;
  const policy: Policy = {
    replace: (before) => {
      kit = judgedFor(before, learns ? Settings.parse({}) : UNLEARNED);
      const letGo = kit.things.filter(({ case: one }) => {
        const first = one.marked.findIndex(({ mark }) => mark.complaints.length > 0);
        if (one.state !== "active" || first < 0) return false;
        const { what } = one.marked[first]!.mark.complaints[0]!;
        const own = randomFrom(seedOf(seed, 23, seedOf(...[...one.item.id].map((at) => at.charCodeAt(0)))));
        const chance = jstat.beta.inv(own.even(), taste.letsGo * ALIKE, (1 - taste.letsGo) * ALIKE);
        const goes = luckOf(before, one.item.id, 21).chance(chance);
        const trips = one.marked.length - 1 - first;
        const hazard = kit.surveyed.taste.patience.get(what)?.hazard ?? USUAL_HAZARD;
        note(
          "letGo",
          before.outing.n,
          letsGo({ hazard }, trips),
          letsGo({ hazard: USUAL_HAZARD }, trips),
          goes,
        );
        return goes;
      });
      return new Set(letGo.map(({ case: { item } }) => item.id));
    },
    says: () => saidOf(kit.things),
    leave: (before) => {
      const left = new Map<ItemId, number>();
      for (const advice of kit.things) {
        const family = askedToLeave(advice, before.outing);
        const { id } = advice.case.item;
        if (!family || !before.holders.some((holder) => holder.id === id)) continue;
        const luck = luckOf(before, id, 22);
        const again = answered.get(id);
        const follows =
          luck.chance(taste.sticks) && again !== undefined
            ? again
            : luck.chance(family === "leave it" ? taste.leaves : taste.onlyWhen);
        answered.set(id, follows);
        note(
          "packed",
          before.outing.n,
          leaningOn(known(kit.surveyed.taste.leanings, family), id).follows,
          USUAL[family],
          follows,
        );
        if (follows) left.set(id, 1);
      }
      return left;
    },
  };
  const outcome = walk({ ...walker, outings: walker.outings.slice(0, TRIPS) }, policy, {
    failure: ({ kind }) => FAILURE_COST[kind.consequence],
  });
  return { ...outcome, ...foreseen };
}
