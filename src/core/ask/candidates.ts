import { daysBetween } from "../sums/days";
import { lastOf, nth } from "../sums/there";
import { withEntry } from "../ledger/book";
import { countedOn } from "../ledger/outing";
import {
  Entry,
  type EntryWhat,
  type ItemId,
  type Mark,
  type OwnerCall,
  type Sureness,
  type Symptom,
  type Trigger,
  type TripId,
  type WhyUnused,
} from "../model";
import { isCritical, resurvey, type Case } from "../decide/case";
import { gradeChances } from "../decide/options";
import { adviseItem, type Advice, type Verdict } from "../advice/advise";
import type { Reason } from "../reasons/finding";
import { RANK } from "../trade/jobs";
import { isUnavoidable } from "../trade/triggers";
import { VERBS } from "../trade/verbs";
import { offered } from "../trade/symptoms";

/** What is asked, as data; its words are in `say/questions.ts`. */
type Asked =
  | "grade"
  | "frost"
  | "firm"
  | "why unused"
  | "symptom"
  | "again"
  | "enough"
  | "days used"
  | "complete"
  | "seen to"
  | "rained"
  | "everyday";

/** What an answer comes to: the mark as it would then be, days of a weather, or something done since. */
export type Told =
  | { readonly kind: "mark"; readonly mark: Mark }
  | { readonly kind: "counted"; readonly trigger: Trigger; readonly days: number }
  | { readonly kind: "entry"; readonly entry: Entry };

export interface Answer {
  readonly word: string;
  /** How likely it is to be given, 0 to 1. */
  readonly likely: number;
  readonly told: Told;
}

/** A question worth asking after a debrief, and what its answers would change. */
export interface Question {
  /** Names it for good: a question waved away is not asked again for that trip. */
  readonly id: string;
  readonly asked: Asked;
  readonly item: ItemId;
  readonly trip: TripId;
  readonly about: Symptom | null;
  readonly answers: readonly Answer[];
  /** What knowing is expected to be worth, in euros. */
  readonly worth: number;
}

type Unasked = Omit<Question, "worth">;

/** All that could be asked of a thing that was on the last outing. */
export function candidates(advice: Advice): Unasked[] {
  const one = advice.case;
  return [
    ...frost(one),
    ...symptom(one),
    ...grade(one),
    ...firm(one),
    ...whyUnused(one),
    ...again(advice),
    ...enough(one),
    ...daysUsed(one),
    ...complete(one),
    ...seenTo(advice),
    ...rained(one),
    ...everyday(one),
  ];
}

const lastMark = ({ marked }: Case) => lastOf(marked);

function about(one: Case, asked: Asked, answers: readonly Answer[], of: Symptom | null = null): Unasked {
  const { outing } = lastMark(one);
  return {
    id: `${asked} ${one.item.id}${of ? ` ${of}` : ""}`,
    asked,
    item: one.item.id,
    trip: outing.trip.id,
    about: of,
    answers,
  };
}

const marking = (one: Case, word: string, likely: number, said: Partial<Mark>): Answer => ({
  word,
  likely,
  told: { kind: "mark", mark: { ...lastMark(one).mark, ...said } },
});

/** Of owners who noted nothing, so many kept it warm: in a light frost, and in hard frost. Our own figures. */
const KEPT = { light: 0.7, hard: 0.45 };

function frost(one: Case): Unasked[] {
  const { frost: doubt } = one;
  if (doubt?.how !== "unasked" || doubt.outing !== lastMark(one).outing) return [];
  const kept = doubt.hard ? KEPT.hard : KEPT.light;
  return [
    about(one, "frost", [
      marking(one, "kept from freezing", kept, { frost: "kept" }),
      marking(one, "it froze", (1 - kept) / 3, { frost: "froze" }),
      marking(one, "nobody knows", ((1 - kept) * 2) / 3, { frost: "unknown" }),
    ]),
  ];
}

/** Words in a note that sound like something to be seen on it: they only offer, and one key confirms. */
function symptom(one: Case): Unasked[] {
  const { mark } = lastMark(one);
  if (mark.note === "" || mark.symptoms.length > 0 || mark.troubles.length === 0) return [];
  const [first] = offered(mark.note).symptoms;
  if (!first) return [];
  return [
    about(
      one,
      "symptom",
      [marking(one, "yes", 0.8, { symptoms: [first] }), marking(one, "no", 0.2, {})],
      first,
    ),
  ];
}

/** A grade is worth asking of what wears and nobody has graded on this trip. */
function grade(one: Case): Unasked[] {
  const { left } = one;
  const { mark } = lastMark(one);
  if (!left || mark.use === "unused" || mark.condition !== null || left.worn < left.median / 2) return [];
  return [
    about(
      one,
      "grade",
      gradeChances(left).map((likely, condition) => marking(one, String(condition), likely, { condition })),
    ),
  ];
}

/** A mended pad that held says so by morning. */
function firm(one: Case): Unasked[] {
  const { mark } = lastMark(one);
  if (
    !one.item.jobs.includes("pad") ||
    one.kind.mends !== "all" ||
    mark.use !== "used" ||
    mark.troubles.length > 0
  )
    return [];
  if (one.history.repairs.length === 0) return [];
  return [
    about(one, "firm", [
      marking(one, "firm", 0.75, { condition: 4 }),
      marking(one, "soft", 0.25, { troubles: ["damaged"], symptoms: ["leaks air"] }),
    ]),
  ];
}

/** Why a thing stayed unused, where it is heavy enough to matter. Likelihoods are our own figures. */
const WHYS: readonly (readonly [WhyUnused, number])[] = [
  ["no call for it", 0.4],
  ["another did the job", 0.25],
  ["too much of it", 0.15],
  ["awkward", 0.1],
  ["forgot it", 0.1],
];

function whyUnused(one: Case): Unasked[] {
  const { mark } = lastMark(one);
  if (mark.use !== "unused" || mark.why !== null || RANK[one.item.consequence] > 1) return [];
  return [
    about(
      one,
      "why unused",
      WHYS.map(([why, likely]) => marking(one, why, likely, { why })),
    ),
  ];
}

/** What an owner may answer, whatever lies against a thing; and beside it where it was harmed. */
const CALLS: readonly OwnerCall[] = ["bring again", "bring when", "leave", "try something else"];
const CALLS_OF_HARMED: readonly OwnerCall[] = [...CALLS, "fix", "replace"];

/** How often an owner agrees with a verdict that is so sure. Our own figures. */
const AGREES: Readonly<Record<Sureness, number>> = { sure: 0.9, likely: 0.75, perhaps: 0.55, leaning: 0.5 };

/**
 * Would its owner take it again? Nobody asks so of food or gas; asked where a leaning, a complaint or an
 * idle thing leaves it open.
 */
function again({ case: one, verdicts: [lead] }: Advice): Unasked[] {
  const { mark } = lastMark(one);
  if (
    mark.call !== null ||
    mark.exit !== null ||
    one.item.cover ||
    one.item.load === "consumable" ||
    !isOpenTo(lead, mark)
  )
    return [];
  const words = mark.symptoms.length > 0 ? CALLS_OF_HARMED : CALLS;
  const agreeing = words.filter((call) => VERBS[lead.verb].agrees.includes(call));
  const agrees = agreeing.length > 0 ? AGREES[lead.sureness] : 0;
  const others = words.length - agreeing.length;
  return [
    about(
      one,
      "again",
      words.map((call) => {
        const isAgreed = agreeing.includes(call);
        return marking(one, call, isAgreed ? agrees / agreeing.length : (1 - agrees) / others, { call });
      }),
    ),
  ];
}

/** What is settled by its state is not asked; a habit or a liking is. */
const isOpenTo = ({ verb, sureness }: Verdict, { use, why, complaints }: Mark): boolean =>
  VERBS[verb].stays === true
    ? verb === "keep" && (use === "unused" ? why !== null && why !== "cover" : complaints.length > 0)
    : VERBS[verb].first !== true && sureness !== "sure";

/** All of a set were wanted, one fewer would have done, or half of it. Our own figures. */
function enough(one: Case): Unasked[] {
  const { mark } = lastMark(one);
  const { pieces } = one.item;
  if (pieces < 2 || pieces > MOST_COUNTED || mark.use !== "used" || mark.enough !== null) return [];
  const counts = [...new Set([pieces, pieces - 1, Math.ceil(pieces / 2)])];
  const rest = 0.3 / (counts.length - 1);
  return [
    about(
      one,
      "enough",
      counts.map((count) => marking(one, String(count), count === pieces ? 0.7 : rest, { enough: count })),
    ),
  ];
}
/** Of more pieces than this nobody counts what was enough. */
const MOST_COUNTED = 12;

/** Days out from which it is asked on how many of them a thing was used: on fewer, one knows. */
const LONG_WALK = 14;
/** Shares of the days, and how likely each is of what was used and hardly used. Our own figures. */
const SHARES = [0.06, 0.25, 0.5, 0.9] as const;
const USED_ON = { used: [0.1, 0.2, 0.25, 0.45], hardly: [0.65, 0.25, 0.08, 0.02] } as const;

function daysUsed(one: Case): Unasked[] {
  const { mark, outing, part } = lastMark(one);
  const out = Math.round(outing.days * part);
  // What every night or day calls for is used on all of them, and nobody counts those.
  const isDaily = isCritical(one) || one.item.load === "worn" || one.item.triggers.some(isUnavoidable);
  if (isDaily || out < LONG_WALK || mark.use === "unused" || mark.days !== null) return [];
  const likely = USED_ON[mark.use];
  return [
    about(
      one,
      "days used",
      SHARES.map((share, n) => {
        const days = Math.max(1, Math.round(out * share));
        return marking(one, String(days), nth(likely, n), { days });
      }),
    ),
  ];
}

/** A kit that was opened on a walk, and what may be gone from it. Our own figures. */
const LEFT = [
  ["complete", 0.5, 1],
  ["a little gone", 0.2, 0.8],
  ["what is wanted again is gone", 0.3, 0.5],
] as const;

function complete(one: Case): Unasked[] {
  const { mark, outing } = lastMark(one);
  const { item, kind, book } = one;
  const isFilled = book
    .entriesOf(item.id)
    .some(({ what, on }) => what === "restock" && on >= outing.trip.ends);
  if (!item.cover || !kind.contents || mark.use === "unused" || mark.left !== null || isFilled) return [];
  return [
    about(
      one,
      "complete",
      LEFT.map(([word, likely, left]) => marking(one, word, likely, { left })),
    ),
  ];
}

/** Of owners who logged nothing, so many did it all the same. Our own figure. */
const DID_IT = 0.3;

/** A service that leads may have been done, and not been logged. */
function seenTo({ case: one, verdicts: [lead] }: Advice): Unasked[] {
  if (lead.verb !== "service" || !DUE.has(lead.reason)) return [];
  const { item, book, survey } = one;
  const entryOf = (what: EntryWhat) => Entry.parse({ id: "answered", item: item.id, on: book.today, what });
  const settles = (what: EntryWhat) => {
    const [then] = adviseItem(item.id, resurvey(survey, withEntry(book, entryOf(what)), item.id)).verdicts;
    return then.verb !== "service";
  };
  const what = VERBS.service.remedies.find(settles);
  if (!what) return [];
  return [
    about(one, "seen to", [
      { word: "yes", likely: DID_IT, told: { kind: "entry", entry: entryOf(what) } },
      marking(one, "no", 1 - DID_IT, {}),
    ]),
  ];
}
const DUE: ReadonlySet<Reason> = new Set<Reason>(["due by count", "treatment spent", "each season"]);

/**
 * Days out from which rain is counted, and shares of them that rained, by what was said of the rain. Our
 * own figures.
 */
const RAIN_FROM = 6;
const RAINED_ON = { some: [0.1, 0.25, 0.45], strong: [0.3, 0.55, 0.85] } as const;
const RAIN_LIKELY = [0.35, 0.4, 0.25] as const;

/** On how many days it rained, where something along wears by wet days. */
function rained(one: Case): Unasked[] {
  const { outing } = lastMark(one);
  const rain = outing.strengths.rain;
  if (one.item.wears !== "wet days" || !one.left || outing.days < RAIN_FROM) return [];
  if (rain === undefined || rain === "none" || countedOn(outing.trip, "rain") !== undefined) return [];
  return [
    about(
      one,
      "rained",
      RAINED_ON[rain].map((share, n) => {
        const days = Math.max(1, Math.round(outing.days * share));
        return {
          word: String(days),
          likely: nth(RAIN_LIKELY, n),
          told: { kind: "counted", trigger: "rain", days },
        };
      }),
    ),
  ];
}

/** What shoes are worn between trips, and how likely each is. Our own figures. */
const EVERYDAY = {
  km: ["0 km", "50 km", "150 km", "400 km"],
  mi: ["0 mi", "30 mi", "100 mi", "250 mi"],
} as const;
const EVERYDAY_LIKELY = [0.6, 0.2, 0.12, 0.08] as const;
/** Asked of what is well worn, once in so many days. */
const EVERYDAY_AGAIN = 365;

/** How far shoes were worn in daily life, where nobody said: boots that go to work as well wear there. */
function everyday(one: Case): Unasked[] {
  const { item, left, book } = one;
  const isShoe = item.load === "worn" && item.jobs.includes("walk");
  if (!isShoe || item.wears !== "m" || !left || left.worn < left.median / 4) return [];
  const isTold = book
    .entriesOf(item.id)
    .some(({ what, on }) => what === "wear" && daysBetween(on, book.today) < EVERYDAY_AGAIN);
  if (isTold) return [];
  return [
    about(
      one,
      "everyday",
      EVERYDAY[book.settings.units.distance].map((word, n) => ({
        word,
        likely: nth(EVERYDAY_LIKELY, n),
        told: {
          kind: "entry",
          entry: Entry.parse({ id: "answered", item: item.id, on: book.today, what: "wear", distance: word }),
        },
      })),
    ),
  ];
}
