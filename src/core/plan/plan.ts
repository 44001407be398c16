import type { Case } from "../decide/case";
import { expectedWorth } from "../decide/worth";
import { essentialJobs } from "../decide/law";
import type { Book } from "../ledger/book";
import { asPlanned, type NextOuting } from "../ledger/next-outing";
import { isOfWeather, rivalAtFirst } from "./first-list";
import type { ItemId, Job, Load, Moved, Trigger, Trip } from "../model";
import type { Addition } from "../advice/add";
import { lastUse, leavesForGood, type Advice, type Verdict } from "../advice/advise";
import { kitOf, type Kit } from "../advice/kit";
import type { When } from "../reasons/finding";
import { VERBS } from "../trade/verbs";
import type { FullItem } from "../trade/full-item";
import { isUnavoidable } from "../trade/triggers";
import { isBed } from "../trade/warmth";
import { cansFor, cansOf, ENOUGH, supplyUses } from "../weighin/supplies";
import { lightestWarm, sleepOf, waysToSleep } from "../weighin/sleep";
import { countsAs } from "../weighin/weigh-in";
import { isAlong, type Column } from "./columns";
import { kitJobs } from "../advice/kit-law";
import { whenHolds } from "../advice/foresee";
import { gapsIn, type Gap } from "../advice/trust";
import { nth } from "../sums/there";

/** Why it stands there. */
type Why =
  | {
      readonly is:
        "moved" | "for the weight" | "at home" | "earns its place" | "cover" | "essential" | "wanted";
    }
  | { readonly is: "lent"; readonly to: string }
  | { readonly is: "verdict"; readonly verdict: Verdict }
  | { readonly is: "not called" | "might be called"; readonly triggers: readonly Trigger[] }
  | { readonly is: "called"; readonly triggers: readonly Trigger[] }
  | { readonly is: "for other nights" | "another goes"; readonly other: FullItem }
  | { readonly is: "leans on it"; readonly other: FullItem }
  | { readonly is: "last of its job"; readonly job: Job };

export interface PlanLine {
  readonly item: FullItem;
  readonly advice: Advice;
  readonly column: Column;
  readonly why: Why;
  /** Chance, 0 to 1, that it is used. */
  readonly chance: number;
  /** Where the list would put it, were it not for its owner. */
  readonly own: Column;
}

/** What wears out on the way: with which chance, and most likely after how many metres. */
export interface WearingOut {
  readonly line: PlanLine;
  readonly chance: number;
  readonly metres: number;
  /** What stays at home and would do its job with less than half that chance; null: nothing does. */
  readonly instead: FullItem | null;
}

/** Something that counts one short: a stove without gas, a tent without its poles. */
export interface Short {
  readonly what: "no fuel" | "pieces" | "needs" | "no cable" | "fewer";
  readonly item: FullItem;
  /** What it needs; pieces, or things of its kind, that are wanting. */
  readonly needs: FullItem | null;
  readonly pieces: number;
}

export interface Plan {
  readonly next: NextOuting;
  readonly kit: Kit;
  readonly lines: readonly PlanLine[];
  /** What is slept in: the bed first, then what goes with it. */
  readonly beds: readonly FullItem[];
  /** Critical jobs with nothing trusted, which stand first. */
  readonly gaps: readonly Gap[];
  readonly short: readonly Short[];
  readonly toAdd: readonly Addition[];
  readonly wearingOut: readonly WearingOut[];
  /** Grams by what they are there for: of all that goes, and of what went last time. */
  readonly load: Readonly<Record<Load, number>>;
  readonly lastLoad: Readonly<Record<Load, number>> | null;
  /** Grams that may come on top, and that stay at home against last time. */
  readonly mayCome: number;
  readonly saved: number;
  /** Gram-metres that are likely carried for nothing. */
  readonly deadGramMetres: number;
}

/** A thing is named as wearing out on the way from this chance on. */
export const WORTH_NAMING = 0.1;

/** What to take on a trip: the one planned, or one as usual. Everything owned stands in one column, with why. */
export function planFor(book: Book, trip: Trip | null): Plan {
  const next = trip ? { ...asPlanned(trip), items: null } : book.next;
  const ahead: Book = { ...book, next };
  const kit = kitOf(ahead);
  const things = kit.things.filter(({ case: { standing } }) => standing !== "gone");
  const picks: Readonly<Record<string, Moved>> = trip?.picks ?? {};
  const beds = bedFor(kit, trip?.foreseen.low ?? null);
  const fuel = fuelFor(ahead);
  const places = keptTogether(
    things.map((advice) => placeOf(advice, { ahead, beds, fuel, things })),
    kitJobs(next),
  );
  const goes = new Set(places.filter(({ column }) => column !== "leave").map(({ item }) => item.id));
  // What a thing that goes can't do without goes too.
  const leaned = new Map(
    places.flatMap(({ item, column }) =>
      column === "leave"
        ? []
        : item.needs.filter((need) => !goes.has(need)).map((need) => [need, item] as const),
    ),
  );
  const lines = places.map((line): PlanLine => {
    const leaning = leaned.get(line.item.id);
    const own = leaning
      ? readied(line.advice, { ...line, why: { is: "leans on it", other: leaning } })
      : line;
    const moved = picks[line.item.id];
    if (!moved) return own;
    const isThere =
      moved === "take" ? own.column !== "leave" && own.column !== "take if" : own.column === "leave";
    if (isThere) return own;
    if (moved === "take")
      return { ...readied(own.advice, { ...own, why: { is: "moved" } }), own: own.column };
    return { ...own, column: "leave", why: { is: moved === "leave" ? "moved" : "for the weight" } };
  });
  const along = lines.filter(({ column }) => isAlong(column));
  const last = book.outings.at(-1);
  const lastThings = last ? book.tripOf(last).carries.flatMap(({ item }) => kit.of(item) ?? []) : [];
  return {
    next,
    kit,
    lines,
    beds,
    gaps: gapsIn(things, ({ case: { item } }) => along.some((line) => line.item === item), next.offers),
    short: shortIn(along, ahead),
    toAdd: kit.toAdd,
    wearingOut: wearingOut(lines, next),
    load: loadOf(along.map(({ advice }) => advice)),
    lastLoad: last ? loadOf(lastThings) : null,
    mayCome: lines.reduce((sum, { column, advice }) => sum + (column === "take if" ? gramsOf(advice) : 0), 0),
    saved: lines
      .filter(
        ({ column, item }) => column === "leave" && lastThings.some(({ case: one }) => one.item === item),
      )
      .reduce((sum, { advice }) => sum + gramsOf(advice), 0),
    deadGramMetres: along
      .filter(({ item }) => !item.cover)
      .reduce((sum, { advice, chance }) => sum + gramsOf(advice) * (1 - chance) * next.metres, 0),
  };
}

/**
 * What each thing is told by itself is followed together: of two warm jackets each may go, not both. Where
 * all that does a job of the kit would stay at home, the one that was used last, the lightest of those, goes
 * after all.
 */
function keptTogether(places: readonly PlanLine[], jobs: readonly Job[]): PlanLine[] {
  const back = new Map<FullItem, Job>();
  const goes = ({ item, column }: PlanLine) => isAlong(column) || back.has(item);
  for (const job of jobs) {
    const doing = places.filter(({ item }) => item.jobs.includes(job));
    if (doing.some(goes)) continue;
    const [first] = doing.toSorted(
      (a, b) => lastUse(b.advice) - lastUse(a.advice) || gramsOf(a.advice) - gramsOf(b.advice),
    );
    if (first) back.set(first.item, job);
  }
  return places.map((line) => {
    const job = back.get(line.item);
    return job ? readied(line.advice, { ...line, why: { is: "last of its job", job } }) : line;
  });
}

const gramsOf = ({ grams }: Pick<Advice, "grams">) => grams ?? 0;

function loadOf(things: readonly Advice[]): Record<Load, number> {
  const load: Record<Load, number> = { base: 0, worn: 0, consumable: 0, hobby: 0 };
  for (const advice of things) load[countsAs(advice.case.item)] += gramsOf(advice);
  return load;
}

interface Around {
  readonly ahead: Book;
  /** What is slept in: the bed first, then what goes with it; empty where there is none. */
  readonly beds: readonly FullItem[];
  readonly fuel: ReadonlySet<ItemId>;
  readonly things: readonly Advice[];
}

/**
 * What is slept in: the lightest way that keeps a cold night unlikely, liner and layers included, else the
 * warmest; where no low is foreseen, the bed slept in last. Empty where there is none.
 */
function bedFor(kit: Kit, low: number | null): readonly FullItem[] {
  const owned = sleepOf(kit.book).filter(({ bed }) => bed.state === "active");
  const used = ({ bed }: (typeof owned)[number]) => lastUse(kit.of(bed.id)!);
  const lastUsed = owned.toSorted((a, b) => used(b) - used(a))[0];
  if (low === null || !lastUsed) return lastUsed ? [lastUsed.bed] : [];
  const ways = waysToSleep(owned).filter(({ extras }) => extras.every(({ state }) => state === "active"));
  const way =
    lightestWarm(ways, low) ??
    nth(
      ways.toSorted((a, b) => a.comfort.median - b.comfort.median),
      0,
    );
  return [way.bed, ...way.extras];
}

/** The canisters that hold enough, where their weights tell; else whatever fuel there is goes. */
function fuelFor(book: Book): ReadonlySet<ItemId> {
  const perNight = supplyUses(book).find(
    ({ rule: { sort, unit, over } }) => sort === "fuel" && unit === "g" && over === "night",
  )!;
  const cans = cansOf(book.items);
  const chosen = cansFor(perNight.rate.enoughFor(ENOUGH) * book.next.nights, cans) ?? cans;
  const weighed = new Set(cans.map(({ item }) => item));
  return new Set([
    ...chosen.map(({ item }) => item),
    ...book.items
      .filter(({ kind, id, state }) => kind === "fuel" && state === "active" && !weighed.has(id))
      .map(({ id }) => id),
  ]);
}

/** Jobs that one thing does at a time, each for its season or ground. */
const ONE_AT_A_TIME: readonly Job[] = ["shelter", "pad", "walk", "carry"];

function placeOf(advice: Advice, { ahead, beds, fuel, things }: Around): PlanLine {
  const { case: one, verdicts, leaves, call, chance } = advice;
  const { item } = one;
  const put = (column: Column, why: Why): PlanLine => ({ item, advice, column, why, chance, own: column });
  const go = (why: Why): PlanLine => readied(advice, put("take", why));
  const ruled = verdicts.find(
    ({ ruling, verb }) => ruling?.decision === "agree" && VERBS[verb].leaves === "unless called",
  );
  const [bed] = beds;
  if (bed && (isBed(item.kind) || beds.includes(item)))
    return beds.includes(item)
      ? go({ is: "earns its place" })
      : put("leave", { is: "for other nights", other: bed });
  if (item.kind === "fuel" && ahead.next.nights > 0)
    return fuel.has(item.id) ? go({ is: "earns its place" }) : put("leave", { is: "at home" });
  if (one.standing === "at home") {
    if (wantedAfterAll(one, ahead)) return go({ is: "wanted" });
    if (ahead.outings.length > 0 || item.load === "hobby") return put("leave", { is: "at home" });
    // Nothing has ever gone: what one needs goes, and not what went the last time.
    const other = rivalAtFirst(advice, things);
    if (other) return put("leave", { is: "another goes", other });
    if (!isOfWeather(item) || call.is === "called") return go(whyTaken(advice));
    return call.is === "unknown"
      ? put("take if", { is: "might be called", triggers: call.triggers })
      : put("leave", { is: "not called", triggers: call.triggers });
  }
  if (leavesForGood(advice)) return put("leave", { is: "verdict", verdict: leaves! });
  const rival = rivalOf(advice, things);
  if (rival) return put("leave", { is: "another goes", other: rival });
  if (leaves?.when?.caller || leaves?.reason === "your word") {
    const holds = whenHolds(leaves.when!, ahead.next);
    if (holds === false) return put("leave", { is: "verdict", verdict: leaves });
    if (holds === null) return put("take if", { is: "might be called", triggers: weatherOf(leaves.when!) });
    return go(whyTaken(advice));
  }
  const [lead] = verdicts;
  const seasonal = VERBS[lead.verb].leaves === "unless called" || ruled !== undefined || item.rules.seasonal;
  if (seasonal && call.is === "not called")
    return put("leave", { is: "not called", triggers: call.triggers });
  if (seasonal && call.is === "unknown")
    return put("take if", { is: "might be called", triggers: call.triggers });
  return go(VERBS[lead.verb].leaves === "for good" ? { is: "verdict", verdict: lead } : whyTaken(advice));
}

const weatherOf = ({ triggers, caller }: When) => (caller ? [caller.trigger] : triggers);

/** Left at home the last time and missed there. */
const wantedAfterAll = ({ item, use }: Case, { missedOf }: Book) =>
  use.missed.length > 0 || missedOf(item.id).length > 0;

/** Another that does the same job, and went last: two pairs of shoes are not walked in at once. */
function rivalOf(advice: Advice, things: readonly Advice[]): FullItem | null {
  const { item, marked } = advice.case;
  const job = ONE_AT_A_TIME.find((each) => item.jobs[0] === each);
  if (!job) return superseded(item, marked, things);
  const others = things
    .filter(
      (other) =>
        other.case.item !== item &&
        other.case.item.jobs[0] === job &&
        other.case.item.stow === item.stow &&
        other.case.standing === "active" &&
        lastUse(other) > lastUse(advice),
    )
    .map(({ case: other }) => other);
  // What mostly went along with it is no rival but a companion.
  const rival = others.find(
    (other) =>
      marked.filter(({ outing }) => other.marked.some((its) => its.outing === outing)).length <=
      marked.length / 2,
  );
  return rival?.item ?? null;
}

/**
 * Trips in a row on which another of its kind went without it, after which that one has taken its place.
 * Common practice, no source.
 */
const WITHOUT_IT = 2;

/** Another of its kind that has gone in its place since: the torch that was bought after it. */
function superseded(item: FullItem, marked: Case["marked"], things: readonly Advice[]): FullItem | null {
  const last = marked.at(-1)?.outing.n ?? Infinity;
  const by = things.find(
    ({ case: other }) =>
      other.item !== item &&
      other.item.kind === item.kind &&
      other.standing === "active" &&
      other.marked.filter(({ outing, mark }) => outing.n > last && mark.use === "used").length >=
        WITHOUT_IT &&
      !other.marked.some(({ outing }) => marked.some((its) => its.outing === outing)),
  );
  return by?.case.item ?? null;
}

/**
 * What nobody can say is called for goes anyway where what it may save outweighs it, by so much as its
 * owner's school asks.
 */
const isWorthTaking = (advice: Advice) =>
  expectedWorth(advice.case.item.consequence, advice.chance) >=
  advice.case.school.worthNeeded * gramsOf(advice);

function whyTaken(advice: Advice): Why {
  const { case: one, call } = advice;
  if (one.item.cover) return { is: "cover" };
  const told = call.triggers.filter((trigger) => !isUnavoidable(trigger));
  if (call.is === "called" && told.length > 0) return { is: "called", triggers: told };
  if (call.is !== "called" && essentialJobs(one).length > 0) return { is: "essential" };
  if (call.is === "unknown" && !isWorthTaking(advice))
    return { is: "might be called", triggers: call.triggers };
  return { is: "earns its place" };
}

/** A thing that goes is not ready while something is to be done about it first. */
function readied(advice: Advice, line: PlanLine): PlanLine {
  const { first } = advice;
  const { lentTo } = line.item;
  if (lentTo !== null)
    return { ...line, column: "not ready", own: "not ready", why: { is: "lent", to: lentTo } };
  return first
    ? { ...line, column: "not ready", own: "not ready", why: { is: "verdict", verdict: first } }
    : { ...line, column: "take", own: "take" };
}

function shortIn(along: readonly PlanLine[], book: Book): Short[] {
  const goes = new Set(along.map(({ item }) => item.id));
  const chargeable = along.find(({ item }) => item.rules.filled);
  const wantsCable = chargeable !== undefined && !along.some(({ item }) => item.kind === "cable");
  const fewer = fewerThanUsed(along, book);
  const hasFuel = along.some(({ item }) => item.jobs.includes("fuel"));
  return along.flatMap(({ item, advice }): Short[] => {
    const shorts: Short[] = fewer.filter((short) => short.item === item);
    if (wantsCable && item === chargeable.item && book.next.nights > 1)
      shorts.push({ what: "no cable", item, needs: null, pieces: 0 });
    if (item.kind === "stove" && !hasFuel && book.next.nights > 0)
      shorts.push({ what: "no fuel", item, needs: null, pieces: 0 });
    const { piecesOut } = advice.case.history;
    if (piecesOut > 0) shorts.push({ what: "pieces", item, needs: null, pieces: piecesOut });
    for (const need of item.needs)
      if (!goes.has(need)) shorts.push({ what: "needs", item, needs: book.item(need) ?? null, pieces: 0 });
    return shorts;
  });
}

/** Fewer of a kind go than were used on each of the last two trips that any went on. */
function fewerThanUsed(along: readonly PlanLine[], book: Book): Short[] {
  const counted = new Set(along.flatMap(({ item }) => (item.rules.counted ? [item.kind] : [])));
  return [...counted].flatMap((kind): Short[] => {
    const going = along.filter(({ item }) => item.kind === kind);
    const used = book.outings
      .map((outing) => usedOf(kind, book.tripOf(outing), book))
      .filter((count) => count > 0)
      .slice(-2);
    const wanting = used.length === 2 ? Math.min(...used) - pieces(going.map(({ item }) => item)) : 0;
    return going[0] && wanting > 0
      ? [{ what: "fewer", item: going[0].item, needs: null, pieces: wanting }]
      : [];
  });
}

const pieces = (items: readonly FullItem[]) => items.reduce((sum, item) => sum + item.pieces, 0);

const usedOf = (kind: string, { carries }: Trip, book: Book) =>
  carries.reduce((sum, { item: id, mark }) => {
    const item = book.item(id);
    return item?.kind === kind && mark?.use === "used" ? sum + (mark.enough ?? item.pieces) : sum;
  }, 0);

/** What gives out on the way with a chance worth naming, and after how far, in the middle of those chances. */
function wearingOut(lines: readonly PlanLine[], next: NextOuting): WearingOut[] {
  return lines
    .filter(({ column }) => isAlong(column))
    .flatMap((line): WearingOut[] => {
      const { left } = line.advice;
      if (!left || left.nextTrip <= 0 || left.givesOut < WORTH_NAMING) return [];
      const half = Math.min(left.nextTrip, left.leftAt(1 - left.givesOut / 2));
      const sounder = lines.find(
        ({ item, column, advice }) =>
          column === "leave" &&
          item.jobs[0] === line.item.jobs[0] &&
          item.stow === line.item.stow &&
          advice.first === null &&
          advice.left !== null &&
          advice.left.givesOut < left.givesOut / 2,
      );
      return [
        {
          line,
          chance: left.givesOut,
          metres: (next.metres * half) / left.nextTrip,
          instead: sounder?.item ?? null,
        },
      ];
    })
    .sort((a, b) => b.chance - a.chance);
}
