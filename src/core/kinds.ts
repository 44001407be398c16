import type { Consequence, Item, Job, Load, Stow, Trigger, WearUnit } from "./model";
import { METRES_PER_MILE } from "./units/quantity";
import type { ReadingRule } from "./wear/reading-trend";

/** What a service may bring back: waterproofing, flow, loft. */
export type Fault = "leak" | "clog" | "lost loft";

/** A service that keeps a kind going: due by whichever of its counts comes first. Common practice, no source. Lengths in metres. */
export interface ServiceRule {
  readonly what: string;
  /** Wear, in the kind's own unit, after which it is due. */
  readonly every?: number;
  /** Due once a year of use, before the season. */
  readonly seasonal?: boolean;
  /** Days since it was last done, and washes since, that it holds. */
  readonly days?: number;
  readonly washes?: number;
  /** Days in store after which it wants a look before it is relied on. */
  readonly stored?: number;
  /** Due after a patch, before it is relied on again. */
  readonly afterMending?: boolean;
  /** Done first when the thing lets its owner down in this way: leaks and clogs get service before anything is bought. */
  readonly cures?: Fault;
}

/** Weibull life in the kind's wear unit; `a` is how many observed lives the rule of thumb is worth. */
export interface LifeRule {
  readonly median: number;
  readonly k: number;
  readonly a: number;
}

export interface Kind {
  readonly id: string;
  readonly jobs: readonly Job[];
  readonly triggers: readonly Trigger[];
  readonly stow: Stow;
  readonly load: Load;
  readonly cover: boolean;
  readonly consequence: Consequence;
  readonly wears: WearUnit;
  /** Wear in `wears` for each night out, where the log counts nothing closer (litres, burns, cycles). */
  readonly perNight: number;
  readonly terrain: boolean;
  /** Several on one leg are worn in turn and share its wear. */
  readonly inTurn: boolean;
  readonly life: LifeRule | null;
  readonly services: readonly ServiceRule[];
  /** What can be measured on it, and the value at which it is done. */
  readonly readings: readonly ReadingRule[];
  /** Days in use after which it is replaced whatever it looks like; null: age does not decide. */
  readonly ageDays: number | null;
  /** Can damage be mended at all? */
  readonly mends: boolean;
  /** Ruined by freezing wet, in a way that no test at home shows. */
  readonly freezes: boolean;
  /** Its parts are used up or opened one by one: slimmed, not dropped. */
  readonly contents: boolean;
}

const PLAIN: Omit<Kind, "id"> = {
  jobs: ["other"],
  triggers: ["always"],
  stow: "main",
  load: "base",
  cover: false,
  consequence: "nuisance",
  wears: "none",
  perNight: 0,
  terrain: false,
  inTurn: false,
  life: null,
  services: [],
  readings: [],
  ageDays: null,
  mends: true,
  freezes: false,
  contents: false,
};

const miles = (n: number) => n * METRES_PER_MILE;
const life = (median: number, k: number): LifeRule => ({ median, k, a: 3 });
const kind = (id: string, differs: Partial<Kind>): Kind => ({
  ...PLAIN,
  ...differs,
  id,
  readings: [...(differs.readings ?? []), ...(differs.life ? [CONDITION] : [])],
});

/** The owner's own grade, 5 (as new) to 0 (gone): at 1 it is done. Two looks at the same thing differ by over half a grade. Common practice, no source. */
export const CONDITION: ReadingRule = { what: "condition", unit: "of 5", limit: 1, error: 0.6 };
const reading = (what: string, unit: string, limit: number, error: number): ReadingRule => ({
  what,
  unit,
  limit,
  error,
});
const TREAD = reading("tread", "mm", 1.5, 0.3);
const LOFT = reading("loft", "% of new", 70, 4);
/** Where a date on the label decides, and the log does not hold it. */
const LABEL: ServiceRule = { what: "read the date on its label and note it here", seasonal: true };

/**
 * What each kind of thing brings with it. Lives, shapes and services are common practice, no source; an owner's own
 * log overrides them as it grows. Wear per night: 3 L through a filter, 2 burns, a quarter of a charge cycle.
 */
export const KINDS: readonly Kind[] = [
  kind("trail shoes", {
    jobs: ["walk"],
    stow: "worn",
    load: "worn",
    consequence: "trip-ending",
    wears: "m",
    terrain: true,
    life: life(miles(450), 3.5),
    services: [{ what: "new insoles", every: miles(250) }],
    mends: false,
    readings: [TREAD],
  }),
  kind("boots", {
    jobs: ["walk"],
    stow: "worn",
    load: "worn",
    consequence: "trip-ending",
    wears: "m",
    terrain: true,
    life: life(miles(1000), 3),
    services: [{ what: "clean and reproof", seasonal: true, cures: "leak" }],
    readings: [TREAD],
  }),
  kind("shoe lining", {
    jobs: ["other"],
    stow: "worn",
    load: "worn",
    wears: "m",
    terrain: true,
    life: life(miles(250), 3),
    services: [{ what: "reproof the shoes", seasonal: true, cures: "leak" }],
    mends: false,
  }),
  kind("camp shoes", {
    jobs: ["camp shoes"],
    triggers: ["camp time"],
    stow: "outside",
    wears: "nights",
    life: null,
  }),
  kind("socks", {
    jobs: ["socks"],
    stow: "worn",
    load: "worn",
    consequence: "discomfort",
    wears: "m",
    terrain: true,
    inTurn: true,
    life: life(miles(700), 2.5),
  }),
  kind("poles", {
    jobs: ["balance"],
    stow: "hand",
    load: "worn",
    consequence: "discomfort",
    wears: "m",
    terrain: true,
    life: life(miles(2500), 2),
    services: [
      { what: "new tips", every: miles(500) },
      { what: "clean and try the locks", seasonal: true },
    ],
  }),
  kind("pole rubber feet", {
    jobs: ["balance"],
    triggers: ["town"],
    stow: "side",
    wears: "m",
    terrain: true,
    life: life(miles(150), 2),
    mends: false,
  }),
  kind("gaiters", {
    jobs: ["keep grit out"],
    stow: "worn",
    load: "worn",
    wears: "m",
    terrain: true,
    life: life(miles(800), 2.5),
  }),
  kind("gloves", {
    jobs: ["hands warm"],
    triggers: ["cold", "freezing", "rain"],
    stow: "outside",
    consequence: "discomfort",
    wears: "m",
    life: life(miles(1200), 2),
  }),
  kind("pack", {
    jobs: ["carry"],
    stow: "worn",
    consequence: "trip-ending",
    wears: "nights",
    life: life(350, 3),
    services: [{ what: "seams, buckles and mesh", seasonal: true }],
  }),
  kind("tent", {
    jobs: ["shelter"],
    triggers: ["camp time"],
    consequence: "danger",
    wears: "nights",
    life: life(150, 3),
    services: [
      { what: "look at seams, coating and zip", seasonal: true },
      { what: "seal the seams and reproof", cures: "leak" },
    ],
  }),
  kind("tarp", {
    jobs: ["shelter"],
    triggers: ["camp time", "rain"],
    consequence: "danger",
    wears: "nights",
    life: life(150, 3),
    services: [
      { what: "look at seams and coating", seasonal: true },
      { what: "seal the seams and reproof", cures: "leak" },
    ],
  }),
  kind("groundsheet", { jobs: ["other"], triggers: ["camp time"], wears: "nights", life: life(150, 2) }),
  kind("stakes", {
    jobs: ["other"],
    triggers: ["camp time"],
    consequence: "discomfort",
    wears: "nights",
    life: life(250, 1.5),
    mends: false,
  }),
  kind("quilt", {
    jobs: ["sleep warm"],
    triggers: ["camp time"],
    consequence: "danger",
    wears: "nights",
    life: life(400, 3),
    services: [
      { what: "wash", every: 60, cures: "lost loft" },
      { what: "look at the loft", seasonal: true },
    ],
    readings: [LOFT],
  }),
  kind("sleeping bag", {
    jobs: ["sleep warm"],
    triggers: ["camp time"],
    consequence: "danger",
    wears: "nights",
    life: life(400, 3),
    services: [
      { what: "wash", every: 60, cures: "lost loft" },
      { what: "look at the loft", seasonal: true },
    ],
    readings: [LOFT],
  }),
  kind("bag liner", {
    jobs: ["sleep warm"],
    triggers: ["camp time"],
    consequence: "nuisance",
    wears: "nights",
    life: life(300, 2),
  }),
  kind("inflatable pad", {
    jobs: ["pad"],
    triggers: ["camp time"],
    consequence: "discomfort",
    wears: "nights",
    life: life(200, 1.5),
    services: [{ what: "leave it blown up overnight", seasonal: true, afterMending: true }],
  }),
  kind("foam pad", {
    jobs: ["pad"],
    triggers: ["camp time"],
    stow: "outside",
    consequence: "discomfort",
    wears: "nights",
    life: life(300, 2),
    mends: false,
  }),
  kind("pillow", {
    jobs: ["pillow"],
    triggers: ["camp time"],
    wears: "nights",
    life: life(180, 1.5),
    services: [{ what: "leave it blown up overnight", afterMending: true }],
  }),
  kind("rain shell", {
    jobs: ["stay dry"],
    triggers: ["rain"],
    stow: "outside",
    consequence: "danger",
    wears: "wet days",
    life: life(80, 2.5),
    services: [{ what: "wash and reproof", every: 10, seasonal: true, cures: "leak" }],
  }),
  kind("light rain shell", {
    jobs: ["stay dry"],
    triggers: ["rain"],
    stow: "outside",
    consequence: "danger",
    wears: "wet days",
    life: life(35, 2),
    mends: false,
  }),
  kind("rain trousers", {
    jobs: ["legs dry"],
    triggers: ["rain"],
    stow: "outside",
    consequence: "discomfort",
    wears: "wet days",
    life: life(80, 2.5),
    services: [{ what: "wash and reproof", cures: "leak" }],
  }),
  kind("rain mitts", {
    jobs: ["hands warm"],
    triggers: ["rain"],
    stow: "outside",
    wears: "wet days",
    life: life(60, 2),
    services: [{ what: "wash and reproof", cures: "leak" }],
  }),
  kind("umbrella", {
    jobs: ["other"],
    triggers: ["rain", "sun"],
    stow: "side",
    wears: "wet days",
    life: life(60, 1.5),
  }),
  kind("pack cover", {
    jobs: ["keep kit dry"],
    triggers: ["rain"],
    stow: "outside",
    consequence: "discomfort",
    wears: "wet days",
    life: life(80, 2),
    services: [{ what: "reproof", cures: "leak" }],
  }),
  kind("pack liner", {
    jobs: ["keep kit dry"],
    consequence: "discomfort",
    wears: "nights",
    life: life(60, 2),
    mends: false,
  }),
  kind("dry bag", { jobs: ["keep kit dry"], wears: "nights", life: life(250, 2) }),
  kind("insulated jacket", {
    jobs: ["stay warm"],
    triggers: ["cold", "freezing", "camp time"],
    consequence: "trip-ending",
    wears: "nights",
    life: life(300, 3),
    services: [{ what: "wash", seasonal: true, cures: "lost loft" }],
    readings: [LOFT],
  }),
  kind("insulated vest", {
    jobs: ["stay warm"],
    triggers: ["cold", "freezing"],
    consequence: "discomfort",
    wears: "nights",
    life: life(300, 3),
  }),
  kind("fleece", {
    jobs: ["stay warm"],
    triggers: ["cold", "freezing", "wind", "camp time"],
    consequence: "discomfort",
    wears: "nights",
    life: life(400, 3),
  }),
  kind("wind shell", {
    jobs: ["keep wind off"],
    triggers: ["wind", "cold"],
    stow: "outside",
    wears: "nights",
    life: life(300, 2),
  }),
  kind("base layer", {
    jobs: ["base clothing"],
    stow: "worn",
    load: "worn",
    consequence: "discomfort",
    wears: "nights",
    life: life(300, 2.5),
  }),
  kind("shirt", {
    jobs: ["base clothing"],
    stow: "worn",
    load: "worn",
    consequence: "discomfort",
    wears: "nights",
    life: life(250, 2.5),
  }),
  kind("trousers", {
    jobs: ["base clothing"],
    stow: "worn",
    load: "worn",
    consequence: "discomfort",
    wears: "nights",
    life: life(250, 2.5),
  }),
  kind("underwear", {
    jobs: ["spare clothing"],
    consequence: "discomfort",
    wears: "nights",
    inTurn: true,
    life: life(250, 2.5),
    mends: false,
  }),
  kind("sleep clothes", {
    jobs: ["spare clothing"],
    triggers: ["camp time"],
    consequence: "discomfort",
    wears: "nights",
    life: life(350, 2.5),
  }),
  kind("spare clothing", {
    jobs: ["spare clothing"],
    triggers: ["always"],
    wears: "nights",
    life: life(250, 2.5),
  }),
  kind("warm hat", {
    jobs: ["head warm"],
    triggers: ["cold", "freezing"],
    stow: "lid",
    consequence: "discomfort",
    wears: "nights",
    life: life(500, 2),
  }),
  kind("sun hat", {
    jobs: ["head shaded"],
    triggers: ["sun", "heat"],
    stow: "worn",
    load: "worn",
    consequence: "discomfort",
    wears: "nights",
    life: life(250, 2),
  }),
  kind("neck tube", {
    jobs: ["head warm"],
    triggers: ["cold", "sun", "wind"],
    stow: "worn",
    load: "worn",
    wears: "nights",
    life: life(400, 2),
  }),
  kind("sunglasses", {
    jobs: ["sun protection"],
    triggers: ["sun", "snow or ice"],
    stow: "shoulder",
    load: "worn",
    consequence: "discomfort",
  }),
  kind("sunscreen", {
    jobs: ["sun protection"],
    triggers: ["sun", "snow or ice"],
    stow: "hip",
    load: "consumable",
    consequence: "discomfort",
    wears: "days",
    mends: false,
    services: [LABEL],
  }),
  kind("bug net", {
    jobs: ["bug protection"],
    triggers: ["bugs"],
    stow: "lid",
    consequence: "discomfort",
    wears: "nights",
    life: life(200, 2),
  }),
  kind("insect repellent", {
    jobs: ["bug protection"],
    triggers: ["bugs", "ticks"],
    stow: "hip",
    load: "consumable",
    consequence: "discomfort",
    wears: "days",
    mends: false,
    services: [LABEL],
  }),
  kind("insect treatment", {
    jobs: ["bug protection"],
    triggers: ["bugs", "ticks"],
    load: "consumable",
    wears: "days",
    mends: false,
    services: [{ what: "treat the clothes again", days: 42, washes: 6 }],
  }),
  kind("traction", {
    jobs: ["traction"],
    triggers: ["snow or ice"],
    stow: "outside",
    cover: true,
    consequence: "danger",
    wears: "m",
  }),
  kind("filter", {
    jobs: ["treat water"],
    stow: "side",
    consequence: "danger",
    wears: "L",
    perNight: 3,
    life: life(750, 2),
    services: [
      { what: "backflush", seasonal: true, cures: "clog" },
      { what: "soak it 30 min and try its flow", stored: 150 },
    ],
    mends: false,
    freezes: true,
    readings: [reading("flow", "L a minute", 0.3, 0.1)],
  }),
  kind("treatment tablets", {
    jobs: ["treat water"],
    stow: "lid",
    load: "consumable",
    cover: true,
    consequence: "danger",
    wears: "days",
    mends: false,
    services: [LABEL],
  }),
  kind("water bottle", {
    jobs: ["carry water"],
    stow: "side",
    consequence: "discomfort",
    wears: "days",
    mends: false,
    ageDays: 365,
  }),
  kind("water bag", {
    jobs: ["carry water"],
    triggers: ["dry stretch", "camp time"],
    consequence: "discomfort",
    wears: "nights",
    life: life(120, 1.5),
  }),
  kind("stove", {
    jobs: ["cook"],
    triggers: ["camp time"],
    consequence: "discomfort",
    wears: "burns",
    perNight: 2,
    life: life(900, 2),
    services: [{ what: "clean the jet, check the seal", seasonal: true, cures: "clog" }],
  }),
  kind("pot", {
    jobs: ["cook"],
    triggers: ["camp time"],
    consequence: "discomfort",
    wears: "burns",
    perNight: 2,
    life: life(3000, 2),
  }),
  kind("cutlery", { jobs: ["eat"], triggers: ["camp time"], wears: "nights" }),
  kind("mug", { jobs: ["eat"], triggers: ["camp time"], wears: "nights" }),
  kind("fuel", {
    jobs: ["fuel"],
    triggers: ["camp time"],
    load: "consumable",
    consequence: "discomfort",
    mends: false,
    contents: true,
  }),
  kind("lighter", {
    jobs: ["fire"],
    triggers: ["camp time"],
    consequence: "danger",
    wears: "days",
    mends: false,
    services: [{ what: "strike it; see that it is not near empty", stored: 150 }],
  }),
  kind("matches", {
    jobs: ["fire"],
    triggers: ["breakage"],
    cover: true,
    consequence: "danger",
    wears: "days",
    mends: false,
  }),
  kind("food", {
    jobs: ["food"],
    stow: "food",
    load: "consumable",
    consequence: "trip-ending",
    mends: false,
    contents: true,
  }),
  kind("food bag", {
    jobs: ["food storage"],
    stow: "food",
    consequence: "discomfort",
    wears: "nights",
    life: life(250, 2),
  }),
  kind("head torch", {
    jobs: ["light"],
    triggers: ["darkness", "camp time"],
    stow: "lid",
    consequence: "danger",
    wears: "days",
    services: [{ what: "charge it and try the lock", seasonal: true, stored: 150 }],
  }),
  kind("spare light", {
    jobs: ["light"],
    triggers: ["breakage"],
    stow: "lid",
    cover: true,
    consequence: "danger",
    wears: "days",
  }),
  kind("power bank", {
    jobs: ["power"],
    triggers: ["camp time"],
    stow: "lid",
    consequence: "discomfort",
    wears: "cycles",
    perNight: 0.25,
    life: life(400, 3),
    services: [{ what: "charge it and measure what it holds", seasonal: true, stored: 150 }],
    mends: false,
    readings: [reading("capacity", "% of new", 60, 4)],
  }),
  kind("cable", {
    jobs: ["power"],
    triggers: ["camp time"],
    stow: "lid",
    consequence: "discomfort",
    mends: false,
  }),
  kind("phone", {
    jobs: ["find the way", "call for help"],
    stow: "hip",
    load: "worn",
    consequence: "trip-ending",
    wears: "days",
  }),
  kind("map and compass", { jobs: ["find the way"], stow: "lid", cover: true, consequence: "danger" }),
  kind("beacon", {
    jobs: ["call for help"],
    triggers: ["injury", "no signal"],
    stow: "shoulder",
    cover: true,
    consequence: "danger",
    wears: "days",
    services: [{ what: "charge, test message, registration and plan", seasonal: true }],
  }),
  kind("whistle", {
    jobs: ["call for help"],
    triggers: ["injury"],
    stow: "shoulder",
    cover: true,
    consequence: "danger",
  }),
  kind("first-aid kit", {
    jobs: ["first aid"],
    triggers: ["injury"],
    stow: "lid",
    cover: true,
    consequence: "danger",
    contents: true,
    services: [{ what: "restock and check dates", seasonal: true }],
  }),
  kind("medicines", {
    jobs: ["first aid"],
    triggers: ["injury"],
    stow: "lid",
    load: "consumable",
    cover: true,
    consequence: "danger",
    wears: "days",
    mends: false,
    contents: true,
    services: [LABEL],
  }),
  kind("repair kit", {
    jobs: ["mend"],
    triggers: ["breakage"],
    stow: "lid",
    cover: true,
    consequence: "trip-ending",
    contents: true,
    services: [{ what: "restock", seasonal: true }],
  }),
  kind("emergency blanket", {
    jobs: ["first aid"],
    triggers: ["injury"],
    stow: "lid",
    cover: true,
    consequence: "danger",
    mends: false,
  }),
  kind("knife", { jobs: ["eat"], stow: "hip", consequence: "discomfort" }),
  kind("wash kit", { jobs: ["hygiene"], triggers: ["camp time"], consequence: "discomfort", contents: true }),
  kind("trowel", { jobs: ["hygiene"], triggers: ["camp time"], stow: "outside", consequence: "discomfort" }),
  kind("towel", { jobs: ["hygiene"], triggers: ["camp time", "rain"], wears: "nights", life: life(400, 2) }),
  kind("sanitiser", {
    jobs: ["hygiene"],
    stow: "hip",
    load: "consumable",
    consequence: "discomfort",
    mends: false,
    contents: true,
  }),
  kind("chair", { jobs: ["sit"], triggers: ["camp time"], wears: "nights", life: life(200, 1.5) }),
  kind("sit mat", { jobs: ["sit"], stow: "outside", wears: "nights", life: life(400, 2), mends: false }),
  kind("camera", { jobs: ["photograph"], stow: "shoulder", load: "hobby", consequence: "nuisance" }),
  kind("book", { jobs: ["read"], triggers: ["camp time"], load: "hobby", mends: false }),
  kind("hobby", { jobs: ["other"], load: "hobby" }),
  kind("other", {}),
];

const ALIASES: Readonly<Record<string, string>> = {
  shoes: "trail shoes",
  "trail runners": "trail shoes",
  boot: "boots",
  sock: "socks",
  "trekking poles": "poles",
  pole: "poles",
  gaiter: "gaiters",
  backpack: "pack",
  rucksack: "pack",
  shelter: "tent",
  "tent or tarp": "tent",
  bag: "sleeping bag",
  "sleeping quilt": "quilt",
  "sleeping bag or quilt": "quilt",
  pad: "inflatable pad",
  "sleeping pad": "inflatable pad",
  "air pad": "inflatable pad",
  mat: "foam pad",
  shell: "rain shell",
  "rain jacket": "rain shell",
  jacket: "insulated jacket",
  "down jacket": "insulated jacket",
  puffy: "insulated jacket",
  vest: "insulated vest",
  midlayer: "fleece",
  windshell: "wind shell",
  "wind jacket": "wind shell",
  hat: "warm hat",
  beanie: "warm hat",
  buff: "neck tube",
  "head net": "bug net",
  "bug head net": "bug net",
  spikes: "traction",
  microspikes: "traction",
  "water filter": "filter",
  "hollow-fibre filter": "filter",
  "hollow fibre filter": "filter",
  tablets: "treatment tablets",
  "water tablets": "treatment tablets",
  "water treatment tablets": "treatment tablets",
  "purification tablets": "treatment tablets",
  "water treatment": "treatment tablets",
  "waterproof lining": "shoe lining",
  "waterproof lining of shoes": "shoe lining",
  "throw away rain shell": "light rain shell",
  "light throw away rain shell": "light rain shell",
  poncho: "light rain shell",
  "gloves used with poles": "gloves",
  mittens: "gloves",
  "insect treatment on clothes": "insect treatment",
  "plastic drink bottle": "water bottle",
  "drink bottle": "water bottle",
  "inflatable pillow": "pillow",
  medicine: "medicines",
  cap: "sun hat",
  "down vest": "insulated vest",
  "bear can": "food bag",
  sandals: "camp shoes",
  bottle: "water bottle",
  canister: "fuel",
  gas: "fuel",
  burner: "stove",
  spoon: "cutlery",
  spork: "cutlery",
  cup: "mug",
  torch: "head torch",
  headlamp: "head torch",
  headtorch: "head torch",
  battery: "power bank",
  powerbank: "power bank",
  map: "map and compass",
  compass: "map and compass",
  "satellite messenger": "beacon",
  "satellite messenger or beacon": "beacon",
  "first aid": "first-aid kit",
  "first aid kit": "first-aid kit",
  "first-aid": "first-aid kit",
  repair: "repair kit",
  toiletries: "wash kit",
  "hygiene kit": "wash kit",
  stake: "stakes",
  pegs: "stakes",
  "rain pants": "rain trousers",
  pants: "trousers",
  leggings: "trousers",
  tights: "trousers",
};

const BY_ID = new Map(KINDS.map((each) => [each.id, each]));

/** Kind by its name or a common other word for it, ignoring case, hyphens and doubled spaces; undefined if none. */
export function findKind(word: string): Kind | undefined {
  const plain = word
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, " ");
  // "stakes, set" is stakes; "filters" a filter.
  return [plain, plain.split(",")[0]!]
    .flatMap((name) => [name, name.replace(/s$/, "")])
    .map(named)
    .find((found) => found !== undefined);
}

function named(word: string): Kind | undefined {
  const spaced = word.replaceAll("-", " ");
  return (
    BY_ID.get(word) ??
    BY_ID.get(spaced) ??
    BY_ID.get(ALIASES[word] ?? ALIASES[spaced] ?? "") ??
    BY_ID.get(spaced.replace("first aid", "first-aid"))
  );
}

/** A name as it is compared: without capitals and outer blanks. */
export const inPlain = (name: string) => name.trim().toLowerCase();

/** Does an owner's word for something mean this item: is it of the kind so called, or has it every word of it in its own name? */
export function isCalled({ name, kind: id }: Pick<Item, "name" | "kind">, what: string): boolean {
  const words = new Set(inPlain(name).split(/\s+/));
  return (
    findKind(what)?.id === id ||
    inPlain(what)
      .split(/\s+/)
      .every((word) => words.has(word))
  );
}

/** When a service is due, beside by its count: "each season", "after a patch". */
export const whenServiced = ({
  seasonal,
  days,
  washes,
  stored,
  afterMending,
  cures,
}: ServiceRule): string[] =>
  [
    seasonal ? "each season" : "",
    days === undefined ? "" : `after ${days} days`,
    washes === undefined ? "" : `or ${washes} washes`,
    stored === undefined ? "" : `after ${stored} days in store`,
    afterMending ? "after a patch" : "",
    cures ? `first, against ${cures === "lost loft" ? cures : `a ${cures}`}` : "",
  ].filter(Boolean);

/**
 * The kind as the trade has it, before the owner's own numbers (`rules.ts`).
 *
 * @throws Error for a kind that no schema has let through
 */
export function kindOf(item: Pick<Item, "kind">): Kind {
  const found = BY_ID.get(item.kind);
  if (!found) throw new Error(`kindOf: no kind "${item.kind}"`);
  return found;
}

/** Words of a name that give its kind away, the longest first: "hooded rain shell" is a rain shell. */
const TELLTALES = [...BY_ID.keys(), ...Object.keys(ALIASES)]
  .filter(
    (word) =>
      !["other", "hobby", "bag", "repair", "battery", "food", "pack", "shelter", "map"].includes(word),
  )
  .sort((a, b) => b.length - a.length);

/** The kind that a name suggests, or "other". A guess: shown to the owner, who may change it. */
export function guessKind(name: string): Kind {
  const words = ` ${name.toLowerCase().replace(/[^\p{L}\d-]+/gu, " ")} `;
  const told =
    TELLTALES.find((word) => words.includes(` ${word} `)) ??
    (/ (pack|rucksack) $/.test(words) ? "pack" : "other");
  return findKind(told)!;
}

/** An item with every blank filled in from its kind, and the kind's rules as its owner has them. */
export type FullItem = Omit<Item, "jobs" | "triggers" | "stow" | "load" | "cover" | "consequence" | "wears"> &
  Pick<Kind, "jobs" | "triggers" | "stow" | "load" | "cover" | "consequence" | "wears"> & {
    readonly rules: Kind;
  };

export function withDefaults(item: Item, rules: Kind): FullItem {
  const { jobs, triggers, stow, load, cover, consequence, wears } = rules;
  return {
    ...item,
    rules,
    jobs: item.jobs ?? jobs,
    triggers: item.triggers ?? triggers,
    stow: item.stow ?? (item.bag ? "bag" : stow),
    load: item.load ?? load,
    cover: item.cover ?? cover,
    consequence: item.consequence ?? consequence,
    wears: item.wears ?? wears,
  };
}
