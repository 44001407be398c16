import { parseArgs } from "node:util";
import { allOf, countOf, coverage, leanings, total, watchDrops } from "./measure";
import { ageRule, clairvoyant, engineLeaves, engineReplaces, oracle, threeTripsRule } from "./policies";
import { seedOf } from "./random";
import { TASTES, walkWithTaste, type LogLoss, type TasteOutcome } from "./tastes";
import { NEVER, walk, type Costs, type Policy } from "./walk";
import { FAILURE_COST, USUAL, walkerOf, type Nature, type Walker } from "./world";

/**
 * `npm run walkers [-- --walkers 40 --seed 1 --part 12 --row drawn]`: simulated walkers whose truth is known. How well the intervals cover, what
 * the decisions to replace cost, what is saved and regretted by leaving things at home, against rules of thumb and an oracle; and
 * how often a leaning proves right.
 */
const { values } = parseArgs({
  options: {
    walkers: { type: "string", default: "40" },
    seed: { type: "string", default: "1" },
    part: { type: "string", default: "12345" },
    row: { type: "string", default: "" },
  },
});
const COUNT = Number(values.walkers);
const SEED = Number(values.seed);

const walkers = (nature: Nature): Walker[] =>
  Array.from({ length: COUNT }, (_, n) => walkerOf(seedOf(SEED, 9, n), nature));
const percent = (part: number, all: number) => (all ? `${((100 * part) / all).toFixed(0)} %` : "–");
const costsTimes = (factor: number): Costs => ({
  failure: ({ kind }) => factor * FAILURE_COST[kind.consequence],
});
const USUAL_COSTS = costsTimes(1);

const WEARING: Nature = { ...USUAL, wearing: true };

/** Things of a kind from which its coverage is told. */
const ENOUGH = 60;

function tellCoverage(): void {
  console.log(
    "\n1. Coverage of the 80 % life intervals (aim: 75 to 85 % overall, 70 to 90 % for each kind with 60 things or more)",
  );
  const natures: readonly (readonly [string, Nature])[] = [
    ["lives drawn about the rule of thumb, none retired", WEARING],
    ["half the rule of thumb, three retired", { ...WEARING, lives: 0.5, retired: 3 }],
    ["twice the rule of thumb, three retired", { ...WEARING, lives: 2, retired: 3 }],
    ["lives lognormal", { ...WEARING, law: "lognormal" }],
    ["sensitivity: true shape 0.7 of the rule's", { ...WEARING, shape: 0.7 }],
    ["sensitivity: true shape 1.4 of the rule's", { ...WEARING, shape: 1.4 }],
    ["sensitivity: a fifth of marks missing, a tenth wrong", { ...WEARING, missing: 0.2, wrong: 0.1 }],
  ];
  for (const [name, nature] of natures.filter(([name]) => name.includes(values.row))) {
    const kinds = coverage(walkers(nature));
    const all = allOf(kinds.values());
    const told = [...kinds]
      .filter(([, cover]) => countOf(cover) >= ENOUGH)
      .map(([kind, cover]) => ({ kind, share: cover.inside / countOf(cover) }))
      .sort((a, b) => a.share - b.share);
    console.log(
      `${name.padEnd(54)} ${percent(all.inside, countOf(all)).padStart(5)} of ${String(countOf(all)).padStart(5)}; shorter than said ${percent(all.below, countOf(all))}, longer ${percent(all.above, countOf(all))}; ${told.length} kinds ${told.length ? `${percent(told[0]!.share, 1)} (${told[0]!.kind}) to ${percent(told.at(-1)!.share, 1)} (${told.at(-1)!.kind})` : ""}`,
    );
  }
}

function tellReplacing(name: string, nature: Nature, costs: Costs): void {
  const people = walkers(nature);
  const policies: readonly (readonly [string, Policy])[] = [
    ["oracle", oracle(costs)],
    ["engine", engineReplaces],
    ["age rule: at the kind's median", ageRule],
    ["until it fails", NEVER],
    ["(knowing every draw: a floor)", clairvoyant],
  ];
  let least = 0;
  console.log(`\n   ${name}`);
  for (const [who, policy] of policies) {
    const sum = total(people.map((walker) => walk(walker, policy, costs)));
    const cost = sum.failureCost + sum.earlyCost;
    least ||= cost;
    console.log(
      `   ${who.padEnd(34)} ${(cost / people.length).toFixed(0).padStart(6)} € a walker  ${(cost / least).toFixed(2).padStart(5)} × oracle   ${String(sum.failures).padStart(5)} failures (${(sum.failureCost / people.length).toFixed(0)} €), ${String(sum.early).padStart(5)} replaced early (${(sum.earlyCost / people.length).toFixed(0)} € unused), ${sum.histories} histories`,
    );
  }
}

function tellLeaving(name: string, nature: Nature): void {
  const people = walkers(nature);
  const watch = watchDrops();
  console.log(`\n   ${name}`);
  for (const [who, policy] of [
    ["engine", engineLeaves(watch.look)],
    ["unused on the last three trips", threeTripsRule],
  ] as const) {
    const sum = total(people.map((walker) => walk(walker, policy, USUAL_COSTS)));
    console.log(
      `   ${who.padEnd(34)} ${(sum.savedGramMetres / 1e6 / people.length).toFixed(0).padStart(6)} kg·km saved a walker   ${(sum.regrets / people.length).toFixed(1).padStart(6)} regrets (${(sum.regretsOfCover / people.length).toFixed(1)} of them cover)`,
    );
  }
  console.log(
    `   ${watch.seen.dropped} of ${watch.seen.looked} advised of what is dangerous to lack said drop`,
  );
}

const lossOf = ({ of, sum }: LogLoss) => (of === 0 ? 0 : sum / of);
const added = (all: readonly LogLoss[]): LogLoss =>
  all.reduce((sum, each) => ({ of: sum.of + each.of, sum: sum.sum + each.sum }));

type Told = "packed" | "letGo";

function tellTastes(): void {
  console.log(
    "\n6. Owners of six tastes, and a seventh: what they do, foreseen one step ahead after six trips (aim: 10 % better, at most 1 % worse for one who is as supposed); regrets and failures no more than without",
  );
  for (const taste of TASTES) {
    const run = (learns: boolean) =>
      Array.from({ length: COUNT }, (_, n) =>
        walkWithTaste(seedOf(SEED, 9, n), { ...USUAL, tells: true }, taste, learns),
      );
    const [learnt, without] = [run(true), run(false)];
    const lossBy = (what: readonly Told[], by: "learned" | "supposed") =>
      lossOf(added(learnt.flatMap((one) => what.map((event) => one[event][by]))));
    const told = (...what: readonly Told[]) => {
      const [learned, supposed] = [lossBy(what, "learned"), lossBy(what, "supposed")];
      return `${learned.toFixed(3)} for ${supposed.toFixed(3)}, ${(100 * (1 - learned / supposed)).toFixed(1)} % better`;
    };
    const each = (all: readonly TasteOutcome[], what: "regrets" | "failures") =>
      (all.reduce((sum, outcome) => sum + outcome[what], 0) / COUNT).toFixed(1);
    console.log(
      `   ${taste.name.padEnd(34)} log-loss ${told("packed", "letGo")} (packed ${told("packed")}; let go ${told("letGo")}); regrets ${each(learnt, "regrets")} for ${each(without, "regrets")}, failures ${each(learnt, "failures")} for ${each(without, "failures")}`,
    );
  }
}

const start = performance.now();
console.log(`${COUNT} walkers a row, seed ${SEED}`);
if (values.part.includes("1")) tellCoverage();
/** Rows of the table of replacing: who walks, and what failures cost them. */
const REPLACING: readonly (readonly [string, Nature, Costs])[] = [
  ["as drawn", WEARING, USUAL_COSTS],
  ["half the rule of thumb, three retired", { ...WEARING, lives: 0.5, retired: 3 }, USUAL_COSTS],
  ["twice the rule of thumb, three retired", { ...WEARING, lives: 2, retired: 3 }, USUAL_COSTS],
  ["lives lognormal", { ...WEARING, law: "lognormal" }, USUAL_COSTS],
  ["asked to look, and answering", { ...WEARING, answerers: 1 }, USUAL_COSTS],
  ["nobody grades", { ...WEARING, graders: 0 }, USUAL_COSTS],
  ["nobody grades, prices unknown", { ...WEARING, graders: 0, prices: false }, USUAL_COSTS],
  ["nobody grades, but all answer when asked", { ...WEARING, graders: 0, answerers: 1 }, USUAL_COSTS],
  ["failures cost half", WEARING, costsTimes(0.5)],
  ["failures cost twice", WEARING, costsTimes(2)],
];

if (values.part.includes("2")) {
  console.log("\n2. Cost of replacing (aim: below both rules, at most 1.00 × the oracle's as drawn)");
  for (const [name, nature, costs] of REPLACING)
    if (name.includes(values.row)) tellReplacing(name, nature, costs);
}
if (values.part.includes("3")) {
  console.log(
    "\n3. Leaving at home (aim: as much saved as the three-trips rule, a third of its regrets), and 4. never what is dangerous to lack",
  );
  const rows: readonly (readonly [string, Nature])[] = [
    ["as drawn", USUAL],
    ["a fifth of marks missing, a tenth wrong", { ...USUAL, missing: 0.2, wrong: 0.1 }],
    ["things owned twice", { ...USUAL, doubles: 0.3 }],
    ["tastes that change", { ...USUAL, fickle: 0.3 }],
    ["triggers that are wrong", { ...USUAL, mistriggered: 0.2 }],
  ];
  for (const [name, nature] of rows.filter(([name]) => name.includes(values.row))) tellLeaving(name, nature);
}
if (values.part.includes("4")) {
  console.log("\n5. Leanings after the first trips that ten more bear out (aim: two in three)");
  const told = [...leanings(walkers({ ...USUAL, tells: true }))];
  for (const [verb, { right, wrong }] of told)
    console.log(`   ${verb.padEnd(34)} ${percent(right, right + wrong).padStart(6)} of ${right + wrong}`);
  const all = told.reduce(
    (sum, [, { right, wrong }]) => ({ right: sum.right + right, of: sum.of + right + wrong }),
    { right: 0, of: 0 },
  );
  console.log(`   ${"all".padEnd(34)} ${percent(all.right, all.of).padStart(6)} of ${all.of}`);
}
if (values.part.includes("5")) tellTastes();
console.log(`\n${((performance.now() - start) / 1000).toFixed(0)} s`);
