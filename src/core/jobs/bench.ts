import type { BenchPlace, ItemId, Task, Verb } from "../model";
import type { Kit } from "../advice/kit";
import type { Advice, Verdict } from "../advice/advise";
import { isRoutine } from "../reasons/verbs/service";
import { VERBS } from "../trade/verbs";
import type { FullItem } from "../trade/full-item";
import { stepsFor, type Steps } from "../trade/steps";

/** A job for the bench: what a verdict asks for, until it is done. */
export interface BenchJob {
  readonly item: FullItem;
  readonly advice: Advice;
  readonly verdict: Verdict;
  readonly verb: Verb;
  /** Its owner has agreed to it. */
  readonly agreed: boolean;
  readonly place: BenchPlace;
  readonly steps: Steps;
  /** Its warranty may cover it. */
  readonly claim: boolean;
}

/** Something to buy, what it would take the place of, and what is known of it. */
interface ToBuy {
  readonly name: string;
  /** What it takes the place of; null where nothing owned does it. */
  readonly present: FullItem | null;
  /** On the wish list for that. */
  readonly wish: FullItem | null;
  readonly price: number | null;
  readonly currency: string | null;
}

export interface Bench {
  readonly jobs: readonly BenchJob[];
  readonly tasks: readonly Task[];
  readonly buy: readonly ToBuy[];
}

/**
 * What there is to do: the jobs of the advice, and the owner's own jobs; what is agreed to first, then the
 * most urgent.
 */
export function benchOf(kit: Kit, tasks: readonly Task[]): Bench {
  const jobs = kit.things
    .flatMap((advice) => advice.jobs.map((verdict) => jobOf(advice, verdict)))
    .sort((a, b) => Number(b.agreed) - Number(a.agreed) || rank(a.verdict) - rank(b.verdict));
  return { jobs, tasks: tasks.filter(({ done }) => done === null), buy: toBuy(jobs, kit) };
}

const URGENCY_RANK = { now: 0, "before next trip": 1, "when convenient": 2, watch: 3 } as const;
const rank = (verdict: Verdict) => URGENCY_RANK[verdict.urgency] + (isRoutine(verdict) ? 2 : 0);

function jobOf(advice: Advice, verdict: Verdict): BenchJob {
  const { verb, ruling } = verdict;
  const { warns } = VERBS[verb];
  const bench = VERBS[verb].bench!;
  const { item, history, book } = advice.case;
  const claim = warns === true && isCovered(item, history.open?.cause ?? null, book.today);
  return {
    item,
    advice,
    verdict,
    verb,
    agreed: ruling !== null,
    claim,
    place: claim ? "post" : bench.place,
    steps: stepsFor(bench.steps, item.kind, history.open?.symptoms ?? []),
  };
}

/** A warranty that still runs, for a defect, or for wear where it covers that. */
const isCovered = ({ warranty, warrantyCovers }: FullItem, cause: string | null, today: string): boolean =>
  warranty !== null &&
  (warranty === "life" || warranty >= today) &&
  (cause === "defect" || (cause === "worn" && warrantyCovers === "wear"));

function toBuy(jobs: readonly BenchJob[], { toAdd, book }: Kit): ToBuy[] {
  const wishFor = (item: ItemId) => book.wishes.find(({ instead }) => instead === item) ?? null;
  return [
    ...jobs
      .filter(({ place, verdict }) => place === "shop" && verdict.urgency !== "watch")
      .map(({ item }): ToBuy => {
        const wish = wishFor(item.id);
        return {
          name: wish?.name ?? item.name,
          present: item,
          wish,
          price: wish ? wish.price : item.worthNew,
          currency: (wish ?? item).currency,
        };
      }),
    ...toAdd
      .filter(
        ({ owned, ruling, sureness }) =>
          owned === null && (ruling ? ruling.decision === "agree" : sureness !== "leaning"),
      )
      .map(({ what }): ToBuy => ({ name: what, present: null, wish: null, price: null, currency: null })),
  ];
}

/** The name that a job keeps in a calendar. */
export const jobId = (item: ItemId, verb: Verb, reason: Verdict["reason"]) =>
  `${item}-${verb}-${reason.replaceAll(" ", "-")}`;

/** Jobs by what they want: everything that wants seam sealer; most jobs first, those that want nothing last. */
export function byMaterial(
  jobs: readonly BenchJob[],
): (readonly [material: string, jobs: readonly BenchJob[]])[] {
  const materials = [...new Set(jobs.flatMap(({ steps }) => steps.materials))];
  const rows = materials.map(
    (material) => [material, jobs.filter(({ steps }) => steps.materials.includes(material))] as const,
  );
  const bare = jobs.filter(({ steps }) => steps.materials.length === 0);
  return [
    ...rows.sort(([, a], [, b]) => b.length - a.length),
    ...(bare.length ? [["nothing", bare] as const] : []),
  ];
}
