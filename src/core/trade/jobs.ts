import type { Consequence, Job, Offer, Strength, Trigger } from "../model";
import { entriesOf } from "../sums/keys";

/** From what is only a nuisance to lack to what is dangerous to lack. */
export const RANK: Readonly<Record<Consequence, number>> = {
  nuisance: 0,
  discomfort: 1,
  "trip-ending": 2,
  danger: 3,
};

interface JobRule {
  /** One of the commonly taught ten essential systems: nothing that does it is dropped for want of use. */
  readonly essential?: boolean;
  /** A backup may double it; beyond the school's number of backups a doubled job is trimmed. */
  readonly doubled?: boolean;
  /** Cover for it may go by its owner's own word, where another does it; for the others it stays. */
  readonly coverMayGo?: boolean;
  /** One thing at a time does it: two that went along are compared. */
  readonly single?: boolean;
  /** Things that do it come in warmths or weights, each for its season. */
  readonly bySeason?: boolean;
  /** What a thing must have met before it counts as tried; left out, use alone. */
  readonly provedBy?: readonly Trigger[];
  /** What the way may offer that does it instead. */
  readonly doneBy?: Offer;
  /** What is said where nothing does it. */
  readonly lacking?: string;
  /** What suffers with it where nothing does it any more on the way: a wet tent wets the bed. */
  readonly takes?: readonly Job[];
}

/**
 * What the trade knows of each job; what is plain is left out. Common practice, no source, but for the ten
 * essentials, which are commonly taught.
 */
export const JOB_RULES: Readonly<Partial<Record<Job, JobRule>>> = {
  shelter: {
    essential: true,
    bySeason: true,
    provedBy: ["rain", "wind"],
    doneBy: "beds",
    lacking: "Shelter",
    takes: ["sleep warm"],
  },
  "sleep warm": { essential: true, bySeason: true, doneBy: "beds" },
  pad: { single: true, bySeason: true, takes: ["sleep warm"] },
  pillow: { single: true },
  "stay warm": { essential: true, doubled: true, bySeason: true, lacking: "A warm layer" },
  "stay dry": {
    essential: true,
    doubled: true,
    single: true,
    provedBy: ["rain"],
    lacking: "Rain protection",
    takes: ["stay warm"],
  },
  "keep kit dry": { single: true, takes: ["sleep warm", "stay warm"] },
  "hands warm": { single: true },
  "head warm": { single: true },
  walk: { bySeason: true },
  "camp shoes": { single: true },
  traction: { essential: true },
  "treat water": {
    essential: true,
    coverMayGo: true,
    doubled: true,
    single: true,
    doneBy: "tap water",
    lacking: "Something to treat water",
  },
  cook: { doneBy: "kitchens" },
  fire: {
    essential: true,
    coverMayGo: true,
    doubled: true,
    single: true,
    doneBy: "kitchens",
    lacking: "Something to make fire",
  },
  light: { essential: true, doubled: true, coverMayGo: true, single: true, lacking: "A light" },
  "find the way": { essential: true, doubled: true, single: true, lacking: "Map and compass" },
  "call for help": { essential: true, doubled: true, single: true, lacking: "Something to call for help" },
  "first aid": { essential: true, lacking: "A first-aid kit" },
  mend: { essential: true, lacking: "Something to mend with" },
  "sun protection": { essential: true, lacking: "Sun protection" },
  "head shaded": { essential: true, doubled: true, single: true },
  food: { essential: true },
  sit: { single: true },
  power: { single: true, doneBy: "sockets" },
};

const having = (what: keyof JobRule) =>
  entriesOf(JOB_RULES).flatMap(([job, rule]) => (rule[what] ? [job] : []));

export const ESSENTIAL_JOBS: ReadonlySet<Job> = new Set(having("essential"));
export const DOUBLED_JOBS: ReadonlySet<Job> = new Set(having("doubled"));
export const SINGLE_JOBS: ReadonlySet<Job> = new Set([...having("single"), "read" as const]);
export const SEASON_JOBS: ReadonlySet<Job> = new Set(having("bySeason"));

/**
 * Does the way do a job by what it offers? A bed on some nights does it for none of the others: only beds on
 * all of them take shelter and bed off the list.
 */
export function isOffered(job: Job, offers: Readonly<Partial<Record<Offer, Strength>>>): boolean {
  const offer = JOB_RULES[job]?.doneBy;
  const strength = offer ? (offers[offer] ?? "none") : "none";
  return offer === "beds" ? strength === "strong" : strength !== "none";
}
