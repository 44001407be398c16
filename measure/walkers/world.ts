import { KINDS } from "@/core/trade/kinds";
import { kindOf } from "@/core/trade/words/names";
import type { Kind } from "@/core/trade/kind";
import type { Consequence, Trigger } from "@/core/model";
import { drawLife, drawLognormalLife, randomFrom, seedOf, type Random } from "./random";

/** How a simulated walker differs from the rule of thumb, and how they keep their log. */
export interface Nature {
  /** Their lives against the rule of thumb's, kind by kind: drawn, or the same for all. */
  readonly lives: "drawn" | 0.5 | 2;
  /** Things of each wearing kind that they had worn out before the log. */
  readonly retired: number;
  /** True shape against the rule of thumb's. */
  readonly shape: number;
  /** Share of marks that are missing, and that say used for unused or the other way. */
  readonly missing: number;
  readonly wrong: number;
  /** Share of walkers who grade the condition of what wears after a trip. */
  readonly graders: number;
  /** Share of walkers who, asked to look a thing over, do so, and grade it give or take half a grade. */
  readonly answerers: number;
  /** Lives by the engine's own law, or by another. */
  readonly law: "weibull" | "lognormal";
  /** Walkers tell what things cost. */
  readonly prices: boolean;
  /** Share of comforts that are owned twice, the second seldom used where the first goes along. */
  readonly doubles: number;
  /** Share of things whose owner's taste changes half way: what was used is not any longer, or the other way. */
  readonly fickle: number;
  /** Share of things that something else calls for than their kind is said to be called for by. */
  readonly mistriggered: number;
  /** They say outright what annoys, what could have stayed and what made the trip. */
  readonly tells: boolean;
  /** Only things that wear, where nothing else is asked. */
  readonly wearing: boolean;
}

export const USUAL: Nature = {
  lives: "drawn",
  retired: 0,
  shape: 1,
  missing: 0.06,
  wrong: 0.03,
  graders: 0.3,
  answerers: 0,
  law: "weibull",
  prices: true,
  doubles: 0,
  fickle: 0,
  mistriggered: 0,
  tells: false,
  wearing: false,
};

/** Spread of owners about the rule of thumb, kind by kind, as a standard deviation of logarithms. */
const OWNER_SPREAD = 0.3;

/** What a thing of a kind weighs and costs, in grams and euros: our own round figures. */
const GEAR: Readonly<Record<string, readonly [grams: number, price: number]>> = {
  "trail shoes": [620, 140],
  socks: [72, 18],
  poles: [460, 95],
  gaiters: [118, 35],
  gloves: [54, 25],
  pack: [1080, 210],
  tent: [905, 390],
  groundsheet: [88, 40],
  stakes: [96, 24],
  quilt: [640, 320],
  "inflatable pad": [430, 118],
  pillow: [68, 32],
  "rain shell": [312, 180],
  "rain trousers": [214, 80],
  umbrella: [226, 45],
  "pack cover": [96, 30],
  "pack liner": [52, 6],
  "insulated jacket": [318, 210],
  "insulated vest": [176, 85],
  fleece: [264, 70],
  "wind shell": [98, 60],
  "base layer": [182, 60],
  trousers: [296, 70],
  "sleep clothes": [142, 50],
  "spare clothing": [154, 40],
  "warm hat": [48, 25],
  "sun hat": [84, 30],
  "neck tube": [36, 15],
  "bug net": [146, 40],
  "insect repellent": [48, 8],
  traction: [358, 55],
  filter: [71, 42],
  "treatment tablets": [35, 9],
  "water bag": [44, 14],
  stove: [83, 44],
  pot: [124, 40],
  mug: [52, 12],
  "head torch": [82, 48],
  "power bank": [196, 38],
  "map and compass": [95, 30],
  beacon: [118, 260],
  "first-aid kit": [184, 25],
  "repair kit": [74, 20],
  knife: [42, 30],
  "wash kit": [136, 15],
  towel: [62, 18],
  chair: [486, 70],
  "sit mat": [58, 12],
  "camp shoes": [204, 35],
  camera: [412, 500],
};

/** What a failure on the trail costs, in euros, beside the thing itself: our own figures, halved and doubled in the sensitivities. */
export const FAILURE_COST: Readonly<Record<Consequence, number>> = {
  nuisance: 10,
  discomfort: 40,
  "trip-ending": 150,
  danger: 250,
};

/** A place in the pack, filled by one thing after another. */
export interface Slot {
  readonly n: number;
  readonly kind: Kind;
  readonly grams: number;
  readonly price: number;
  /** True median life in the wear unit and true shape; null where nothing wears. */
  readonly life: { readonly median: number; readonly k: number } | null;
  /** True chance that it is used on a trip that calls for it, and on one that does not. */
  readonly whenCalled: number;
  readonly otherwise: number;
  /** From this outing on the two are exchanged for what they would be of another taste; null where tastes last. */
  readonly changes: { readonly from: number; readonly whenCalled: number } | null;
  /** What truly calls for it. */
  readonly triggers: readonly Trigger[];
  /** True chance that a use of it annoys. */
  readonly annoys: number;
}

export interface Outing {
  readonly n: number;
  readonly starts: Date;
  readonly days: number;
  readonly metres: number;
  readonly terrain: "soft" | "mixed" | "rock";
  readonly cut: boolean;
  readonly conditions: Readonly<Partial<Record<Trigger, "none" | "some" | "strong">>>;
}

export interface Walker {
  readonly seed: number;
  readonly nature: Nature;
  readonly grades: boolean;
  readonly answers: boolean;
  readonly slots: readonly Slot[];
  readonly outings: readonly Outing[];
}

const YEARS = 9;

export function walkerOf(seed: number, nature: Nature): Walker {
  const random = randomFrom(seedOf(seed, 1));
  return {
    seed,
    nature,
    grades: random.chance(nature.graders),
    // Another stream, so that who answers changes nothing else.
    answers: randomFrom(seedOf(seed, 6)).chance(nature.answerers),
    slots: slotsOf(random, nature, seed),
    outings: outingsOf(random),
  };
}

/** The life of the nth thing in a slot, in its wear unit. The same under every policy. */
export const lifeOf = ({ seed, nature }: Walker, { n, life }: Slot, holder: number): number =>
  life
    ? (nature.law === "lognormal" ? drawLognormalLife : drawLife)(
        randomFrom(seedOf(seed, 2, n, holder)),
        life,
      )
    : Infinity;

function slotsOf(random: Random, nature: Nature, seed: number): Slot[] {
  const { lives, shape, wearing, doubles } = nature;
  const slots = KINDS.filter(({ id, life }) => GEAR[id] && (!wearing || life !== null)).map(
    (each, n): Slot => {
      const kind = kindOf({ kind: each.id });
      const [grams, price] = GEAR[each.id]!;
      const factor = lives === "drawn" ? Math.exp(OWNER_SPREAD * random.normal()) : lives;
      const needed =
        kind.cover ||
        kind.consequence === "danger" ||
        kind.consequence === "trip-ending" ||
        kind.load === "worn";
      const taste = random.even();
      return {
        n,
        kind,
        price,
        grams: Math.round(grams * Math.exp(0.2 * random.normal())),
        life: kind.life && { median: kind.life.median * factor, k: kind.life.k * shape },
        // Most things are liked, some are dead, a few in between. What is worn or needed is used.
        whenCalled: needed
          ? 0.92
          : taste < 0.62
            ? 0.75 + 0.22 * random.even()
            : taste < 0.88
              ? 0.08 * random.even()
              : 0.15 + 0.45 * random.even(),
        otherwise: 0.04 * random.even(),
        annoys: annoyance(randomFrom(seedOf(seed, 11, n))),
        ...surprises(kind, needed, nature, randomFrom(seedOf(seed, 7, n))),
      };
    },
  );
  // The second of two: the same sort of thing, heavier, and used only now and then while the first goes along.
  const twins = randomFrom(seedOf(seed, 8));
  const second = slots
    .filter(
      ({ kind }) =>
        !kind.cover && kind.load === "base" && kind.consequence !== "danger" && twins.chance(doubles),
    )
    .map((slot, at) => ({
      ...slot,
      n: slots.length + at,
      grams: Math.round(slot.grams * 1.2),
      whenCalled: 0.12 * twins.even(),
    }));
  return [...slots, ...second];
}

/** One thing in ten keeps annoying; the rest once in a while. */
const annoyance = (luck: Random) => (luck.chance(0.1) ? 0.3 + 0.4 * luck.even() : 0.02);

/** What the engine does not expect: tastes that change, and things that something else calls for. */
function surprises(
  kind: Kind,
  needed: boolean,
  { fickle, mistriggered }: Nature,
  luck: Random,
): Pick<Slot, "changes" | "triggers"> {
  const changes =
    !needed && luck.chance(fickle)
      ? {
          from: Math.floor(YEARS * 9 * (0.35 + 0.3 * luck.even())),
          whenCalled: luck.chance(0.5) ? 0.05 : 0.85,
        }
      : null;
  const triggers = luck.chance(mistriggered)
    ? [luck.pick(["wind", "sun", "cold", "rain", "always"] as const)]
    : kind.triggers;
  return { changes, triggers };
}

/** Nine trips a year, from a day to three weeks, with the weather of their season. */
function outingsOf(random: Random): Outing[] {
  const MONTHS = [0, 2, 3, 4, 5, 6, 7, 8, 10];
  return Array.from({ length: YEARS * MONTHS.length }, (_, n) => {
    const month = MONTHS[n % MONTHS.length]!;
    const days =
      month === 6 && random.chance(0.5)
        ? 10 + Math.floor(random.even() * 12)
        : random.pick([1, 2, 2, 3, 3, 4, 5, 7]);
    const summer = month >= 4 && month <= 7;
    const winter = month === 0 || month === 10;
    const some = (p: number) =>
      random.chance(p) ? random.pick(["some", "some", "strong"] as const) : "none";
    return {
      n,
      days,
      starts: new Date(
        Date.UTC(2016 + Math.floor(n / MONTHS.length), month, 2 + Math.floor(random.even() * 5)),
      ),
      cut: random.chance(0.06),
      metres: Math.round(days * (14 + 10 * random.even())) * 1000,
      terrain: random.pick(["soft", "mixed", "mixed", "rock"]),
      conditions: {
        rain: some(0.5),
        wind: some(0.4),
        cold: some(winter ? 0.95 : summer ? 0.15 : 0.6),
        freezing: some(winter ? 0.6 : 0.04),
        "snow or ice": some(winter ? 0.3 : 0.01),
        sun: some(summer ? 0.8 : 0.35),
        heat: some(summer ? 0.45 : 0.02),
        bugs: some(summer ? 0.6 : 0.08),
        "dry stretch": some(summer ? 0.15 : 0.05),
        town: some(days > 9 ? 0.7 : 0.05),
        injury: some(0.04),
        breakage: some(0.08),
      },
    };
  });
}
