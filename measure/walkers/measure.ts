import type { Case } from "@/core/decide/case";
import { ESSENTIAL_JOBS } from "@/core/trade/jobs";
import type { Mark, Verb } from "@/core/model";
import type { Advice, Verdict } from "@/core/advice/advise";
import { isExpected, judged } from "./policies";
import { randomFrom, seedOf } from "./random";
import { NEVER, walk, type Before, type Costs, type Outcome } from "./walk";
import type { Outing, Walker } from "./world";

const NO_COSTS: Costs = { failure: () => 0 };

/** How many true lives lay inside the interval, were shorter than said, and longer. */
interface Cover {
  inside: number;
  below: number;
  above: number;
}

/** Looks at each thing once, at a wear drawn beforehand, and asks whether what was truly left lies in the 80 % interval. Nothing is replaced before it fails. */
export function coverage(walkers: readonly Walker[]): ReadonlyMap<string, Cover> {
  const kinds = new Map<string, Cover>();
  for (const walker of walkers) {
    const seen = new Set<string>();
    walk(walker, NEVER, NO_COSTS, (before) => {
      const due = before.holders.filter(({ id, slot, nth, worn }) => {
        if (!slot.life || worn === 0 || seen.has(id)) return false;
        return worn >= 1.4 * slot.life.median * randomFrom(seedOf(walker.seed, 5, slot.n, nth)).even();
      });
      if (due.length === 0) return;
      const left = new Map(judged(before).map(({ case: one }) => [one.item.id, one.left]));
      for (const { id, slot, worn, life } of due) {
        seen.add(id);
        const said = left.get(id);
        if (!said) continue;
        const cover = kinds.get(slot.kind.id) ?? { inside: 0, below: 0, above: 0 };
        const truly = life - worn;
        cover[truly < said.low ? "below" : truly > said.high ? "above" : "inside"] += 1;
        kinds.set(slot.kind.id, cover);
      }
    });
  }
  return kinds;
}

export const allOf = (covers: Iterable<Cover>) =>
  [...covers].reduce(
    (sum, { inside, below, above }) => ({
      inside: sum.inside + inside,
      below: sum.below + below,
      above: sum.above + above,
    }),
    { inside: 0, below: 0, above: 0 },
  );
export const countOf = ({ inside, below, above }: Cover) => inside + below + above;

export const total = (outcomes: readonly Outcome[]): Outcome =>
  outcomes.reduce(
    (sum, each) =>
      Object.fromEntries(
        Object.entries(sum).map(([key, value]) => [key, value + each[key as keyof Outcome]]),
      ) as unknown as Outcome,
  );

/** Whatever the history, never to be dropped for want of use. Warmth and rain wear may be, where another is used more and a backup is left. */
const mustStay = ({ item }: Case) =>
  item.cover ||
  item.consequence === "danger" ||
  item.jobs.some((job) => ESSENTIAL_JOBS.has(job) && !["stay warm", "stay dry"].includes(job));

/** Looks at all advice for a drop that must never be. */
export function watchDrops() {
  const seen = { looked: 0, dropped: 0 };
  const look = (advised: readonly Advice[]) => {
    for (const { verdicts } of advised.filter(({ case: each }) => mustStay(each))) {
      seen.looked += 1;
      if (verdicts.some(({ verb }) => verb === "drop")) seen.dropped += 1;
    }
  };
  return { seen, look };
}

/** Trips after which leanings are taken down, and how many more they are held against. */
const LEANING_FROM = [1, 2, 3, 5] as const;
const MORE_TRIPS = 10;
/** Of ten trips on which its thing went along, fewer marks than this show nothing. */
const ENOUGH_MARKS = 5;
/** Used on no more than this share, it could have stayed: the even school's line. Annoying on more than the other, it is to be swapped. */
const COULD_HAVE_STAYED = 0.35;
const KEEPS_ANNOYING = 0.2;

type Shown = readonly { readonly mark: Mark; readonly outing: Outing }[];

/** Does what ten more trips show bear a leaning out? Null where they show nothing of it. */
function isBorneOut({ verb, when }: Verdict, shown: Shown): boolean | null {
  const share = (of: Shown, test: (mark: Mark) => boolean) =>
    of.length < ENOUGH_MARKS ? null : of.filter(({ mark }) => test(mark)).length / of.length;
  const atMost = (part: number | null) => (part === null ? null : part <= COULD_HAVE_STAYED);
  switch (verb) {
    case "drop":
      return atMost(share(shown, ({ use }) => use === "used"));
    case "bring only when":
      return atMost(
        share(
          shown.filter(({ outing }) => !isExpected(when!, outing)),
          ({ use }) => use === "used",
        ),
      );
    case "swap": {
      const annoys = share(
        shown.filter(({ mark }) => mark.use === "used"),
        ({ complaints }) => complaints.length > 0,
      );
      return annoys === null ? null : annoys >= KEEPS_ANNOYING;
    }
    default:
      return null;
  }
}

/** Of the leanings after the first few trips, by verb, how many ten more trips bore out. Nothing is left at home or replaced before it fails. */
export function leanings(walkers: readonly Walker[]): ReadonlyMap<Verb, { right: number; wrong: number }> {
  const sums = new Map<Verb, { right: number; wrong: number }>();
  for (const walker of walkers) {
    const taken = new Map<string, { verdict: Verdict; id: string; from: number }>();
    let last: readonly Before["log"]["trips"][number][] = [];
    walk(walker, NEVER, NO_COSTS, (before) => {
      last = before.log.trips;
      const { n } = before.outing;
      if (!(LEANING_FROM as readonly number[]).includes(n)) return;
      for (const { case: one, verdicts } of judged(before))
        if (verdicts[0].sureness === "leaning")
          taken.set(`${one.item.id} ${verdicts[0].verb}`, { verdict: verdicts[0], id: one.item.id, from: n });
    });
    for (const { verdict, id, from } of taken.values()) {
      const shown = walker.outings.slice(from, from + MORE_TRIPS).flatMap((outing) => {
        const mark = last[outing.n]?.carries.find(({ item }) => item === id)?.mark;
        return mark ? [{ mark, outing }] : [];
      });
      const right = isBorneOut(verdict, shown);
      if (right === null) continue;
      const sum = sums.get(verdict.verb) ?? { right: 0, wrong: 0 };
      sum[right ? "right" : "wrong"] += 1;
      sums.set(verdict.verb, sum);
    }
  }
  return sums;
}
