import { isAlong } from "../plan/columns";
import { isCritical } from "../decide/case";
import type { Verdict } from "../advice/advise";
import type { Case } from "../decide/case";
import type { Trigger, Trip } from "../model";
import type { Outing } from "../ledger/outing";
import type { Plan, PlanLine } from "../plan/plan";
import { plannedSupplies } from "../plan/supplies";
import type { FullItem } from "../trade/full-item";
import { sortOf } from "../trade/supplies";
import { JOB_RULES, RANK } from "../trade/jobs";
import { NEAR_HOME, trialOf, type Setting } from "../trade/trials";
import { isBed } from "../trade/warmth";
import { loadsOf } from "../weighin/loads";
import { sleepOf, warmestWith } from "../weighin/sleep";

/** Why a thing is not to be relied on yet. */
type WhyDoubt =
  | { readonly is: "to prove"; readonly case: Case; readonly verdict: Verdict }
  | { readonly is: "never used" }
  /** Its owner altered it, and has not used it since. */
  | { readonly is: "altered"; readonly what: string }
  | { readonly is: "never met"; readonly triggers: readonly Trigger[] }
  /** Chance, 0 to 1, of a cold night at the coldest expected, °C. */
  | { readonly is: "cold bed"; readonly chance: number; readonly low: number }
  /** Grams ahead, and the most that it has carried. */
  | { readonly is: "heavier than ever"; readonly grams: number; readonly most: number };

/** Something that goes along and is not sure to hold: what would settle it near home. */
export interface Doubt {
  readonly item: FullItem;
  readonly why: WhyDoubt;
  readonly setting: Setting;
  /** Weather that it must meet; none: any. */
  readonly weather: readonly Trigger[];
  /** °C that a night must come down to; null: any. */
  readonly low: number | null;
  /** How much it matters to know. */
  readonly weight: number;
}

/** A bed is in doubt from this chance of a cold night to that one: below it holds, above it is known not to. */
const [DOUBTED_FROM, DOUBTED_TO] = [0.08, 0.75];
/** Near the low, within so many °C, a night tells. Common practice, no source. */
const TELLS_WITHIN = 3;
/** Nights from which a bed is known. */
const KNOWN_NIGHTS = 8;
/** A load so much heavier than ever, in grams, is new to the pack and to its owner. Common practice, no source. */
const HEAVIER_BY = 1000;
/** What is told to be proved counts double. */
const TO_PROVE = 2;

/** What of a plan is not sure to hold, what matters most first; each thing once, by its weightiest doubt. */
export function doubtsOf(plan: Plan, trip: Trip): Doubt[] {
  const along = plan.lines.filter(({ column }) => isAlong(column));
  const doubts = [
    ...along.flatMap((line) => doubtOn(line, trip) ?? []),
    ...bedInDoubt(along, plan, trip),
    ...loadInDoubt(along, plan, trip),
  ].sort((a, b) => b.weight - a.weight);
  return doubts.filter(({ item }, n) => doubts.findIndex((other) => other.item === item) === n);
}

const weightOf = (item: FullItem) => 1 + RANK[item.consequence];

/** What the thing itself leaves open: told to be proved, never used, never out in a weather to come. */
function doubtOn({ item, advice }: PlanLine, trip: Trip): Doubt | null {
  const { case: one, asks } = advice;
  const { setting } = trialOf(item.jobs);
  const doubt = (why: WhyDoubt, weather: readonly Trigger[], weight: number): Doubt => ({
    item,
    why,
    setting,
    weather: weather.filter((trigger) => NEAR_HOME.includes(trigger)),
    low: null,
    weight,
  });
  const verdict = asks.find(({ verb }) => verb === "prove");
  if (verdict) {
    const needs = "needs" in verdict.facts ? verdict.facts.needs : [];
    return doubt({ is: "to prove", case: one, verdict }, needs, TO_PROVE * weightOf(item));
  }
  if (item.load === "consumable" || item.cover || item.rules.contents) return null;
  const tried = one.book.entriesOf(item.id).some(({ what }) => what === "trial");
  if (tried || item.past === "unknown") return null;
  const uses = one.marked.filter(({ mark }) => mark.use !== "unused");
  if (uses.length === 0) return doubt({ is: "never used" }, [], weightOf(item));
  const { altered } = item;
  if (altered && !uses.some(({ outing }) => outing.trip.starts > altered.on))
    return doubt({ is: "altered", what: altered.what }, [], weightOf(item));
  const unmet = item.jobs
    .flatMap((job) => JOB_RULES[job]?.provedBy ?? [])
    .filter(
      (trigger) =>
        (trip.conditions[trigger] ?? "none") !== "none" && !uses.some(({ calls }) => calls.has(trigger)),
    );
  if (unmet.length === 0 || !isCritical(one)) return null;
  return doubt({ is: "never met", triggers: unmet }, unmet, weightOf(item));
}

/** The bed that goes, where its nights don't say whether it will do. */
function bedInDoubt(along: readonly PlanLine[], { kit: { book }, next }: Plan, trip: Trip): Doubt[] {
  const { low } = trip.foreseen;
  const beds = sleepOf(book);
  const way = warmestWith(new Set(along.map(({ item }) => item.id)), beds);
  if (low === null || next.nights === 0 || !way || !isBed(way.bed.kind)) return [];
  const chance = way.comfort.coldAt(low);
  const isOpen = chance >= DOUBTED_FROM && chance <= DOUBTED_TO && way.comfort.nights < KNOWN_NIGHTS;
  if (!isOpen) return [];
  return [
    {
      item: way.bed,
      why: { is: "cold bed", chance, low },
      setting: "night",
      weather: [],
      low: low + TELLS_WITHIN,
      weight: TO_PROVE * weightOf(way.bed),
    },
  ];
}

/** The pack, where it has never carried so much. */
function loadInDoubt(along: readonly PlanLine[], plan: Plan, trip: Trip): Doubt[] {
  const pack = along.find(({ item }) => item.kind === "pack")?.item;
  const loads = loadsOf(plan.kit.book);
  if (!pack || loads.length === 0) return [];
  const { foodGrams, shopDays } = plannedSupplies(plan, trip);
  const { base, consumable, hobby, worn } = plan.load;
  const grams = base + consumable + hobby + worn + foodGrams;
  // Food went along on walks of which nobody told it: as much a day as is reckoned ahead.
  const perDay = foodGrams / Math.max(1, shopDays);
  const foodOn = ({ trip: walk, days }: Outing) =>
    walk.supplies.some((supply) => sortOf(supply) === "food") ? 0 : perDay * days;
  const most = Math.max(...loads.map(({ start, outing }) => start + foodOn(outing)));
  if (grams < most + HEAVIER_BY) return [];
  return [
    {
      item: pack,
      why: { is: "heavier than ever", grams, most },
      setting: "day",
      weather: [],
      low: null,
      weight: weightOf(pack),
    },
  ];
}
