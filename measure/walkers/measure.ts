import type { Case } from "@/core/decide/case";
import { ESSENTIAL_JOBS } from "@/core/trade/jobs";
import type { Judgement } from "@/core/reasons/judge";
import { judged } from "./policies";
import { randomFrom, seedOf } from "./random";
import { NEVER, walk, type Costs, type Outcome } from "./walk";
import type { Walker } from "./world";

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

/** Looks at every judgement for a drop that must never be. */
export function watchDrops() {
  const seen = { looked: 0, dropped: 0 };
  const look = (judgements: readonly Judgement[]) => {
    for (const { verdicts } of judgements.filter(({ case: each }) => mustStay(each))) {
      seen.looked += 1;
      if (verdicts.some(({ verb }) => verb === "drop")) seen.dropped += 1;
    }
  };
  return { seen, look };
}
