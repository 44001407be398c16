import type { Caller } from "../belief/caller";
import type { Comfort } from "../belief/comfort";
import type { Departure, FrostDoubt } from "../ledger/history";
import type { OwnServiceCount } from "../ledger/service-counts";
import type { Incident } from "../ledger/history";

import type { Case } from "../decide/case";
import type {
  Complaint,
  Job,
  OwnerCall,
  Sureness,
  Symptom,
  Trigger,
  TripId,
  Urgency,
  Verb,
  WearUnit,
  WhyUnused,
} from "../model";
import type { FullItem } from "../trade/full-item";
import type { ReadingRule } from "../trade/kind";

/** What has to be kept in mind, by its name; the words are in `say/cautions.ts`. */
export type Caution =
  | "frozen filter"
  | "unknown filter"
  | "gas leak"
  | "medicines"
  | "treatment"
  | "beacon"
  | "ice"
  | "cold night"
  | "insulation";

/** How often the owner said it, and over how long. */
interface Said {
  readonly times: number;
  /** Chances that it was said on, against all the chances it had. */
  readonly chances: number;
  readonly of: number;
}

interface Use {
  readonly used: number;
  readonly trips: number;
}

/** The facts that each reason rests on. A finding is data: its sentence is made in `say/`. */
export interface ReasonFacts {
  // replace
  froze: FrostDoubt;
  "past its date": {
    readonly expires: string;
    readonly daysLeft: number;
    readonly falls: "past" | "soon" | "on the trip";
  };
  "used up": { readonly trouble: Incident };
  "nearly gone": { readonly left: number };
  "beyond mending": { readonly trouble: Incident; readonly why: "gone" | "worn" | "defect" | "no mending" };
  "fault came back": { readonly trouble: Incident; readonly repairs: number };
  "too dear to mend": { readonly trouble: Incident; readonly spent: number; readonly price: number };
  "wear to be seen": {
    readonly condition: number | null;
    readonly trouble: Incident | null;
    readonly on: string;
  };
  "reading at its limit": { readonly rule: ReadingRule; readonly value: number; readonly on: string };
  "short of pieces": { readonly out: number; readonly of: number };
  "unknown past": object;
  "spoilt by mould": { readonly symptom: Symptom };
  "can't be relied on": { readonly condition: number | null };
  "life used up": { readonly worn: number; readonly givesOut: number; readonly unit: WearUnit };
  "too old": { readonly from: string; readonly days: number; readonly limit: number };
  // what has gone
  "gone and done": { readonly departure: Departure; readonly by: FullItem | null };
  "buy again": { readonly departure: Departure };
  "gone unloved": { readonly departure: Departure; readonly because: "unused" | "disliked" | "doubled" };
  "gone for another": { readonly departure: Departure; readonly by: FullItem | null };
  "gone when done with": { readonly departure: Departure };
  // repair
  "open trouble": { readonly trouble: Incident; readonly patched: boolean; readonly mishap: boolean };
  // service
  "comes back by service": {
    readonly trouble: Incident | null;
    readonly symptom: Symptom | null;
    readonly what: string;
  };
  "flat or empty": object;
  "worn but serviceable": { readonly what: string; readonly condition: number | null };
  "wet through": { readonly what: string };
  "due by count": {
    readonly what: string;
    readonly since: number;
    readonly every: number;
    readonly unit: WearUnit;
    readonly last: string | null;
  };
  "own service": OwnServiceCount;
  "treatment spent": {
    readonly what: string;
    readonly days: number | null;
    readonly washes: number | null;
    readonly from: string;
  };
  "after a patch": { readonly what: string; readonly on: string };
  "each season": { readonly what: string; readonly nights: number; readonly last: string | null };
  "after store": { readonly whats: readonly string[]; readonly days: number };
  "look it over": { readonly worn: number; readonly givesOut: number; readonly unit: WearUnit };
  "frost nobody noted": FrostDoubt;
  "unknown contents": object;
  "on loan": { readonly on: string };
  "nearly empty": { readonly left: number };
  "found wanting": { readonly condition: number; readonly on: string; readonly what: string | null };
  // prove
  "mended, not tried": { readonly on: string; readonly needs: readonly Trigger[] };
  "new, not tried": { readonly needs: readonly Trigger[]; readonly used: boolean };
  "unknown past, not tried": { readonly needs: readonly Trigger[]; readonly used: boolean };
  // drop
  "too much, and only one": Said;
  "another did the job": Said & { readonly by: FullItem | null };
  disliked: Said & { readonly why: WhyUnused };
  "could have stayed": Said & Use;
  "sent home unused": Said;
  "seldom wanted": { readonly chances: number; readonly uses: number; readonly high: number };
  "seldom over weeks": { readonly days: number; readonly out: number };
  // bring only when
  "no call for it": { readonly trips: number };
  "used only with": { readonly caller: Caller; readonly used: number; readonly idle: number };
  "sent away after use": { readonly days: number | null; readonly out: number };
  "each for its season": { readonly other: FullItem; readonly caller: Caller };
  "not needed there": Said;
  "part of a long walk": { readonly days: number; readonly out: number };
  // slim
  "too much of it": Said & { readonly enough: number | null; readonly pieces: number };
  "carried home": {
    readonly back: number;
    readonly out: number;
    readonly unit: string;
    readonly trips: number;
  };
  "hardly opened": { readonly days: number };
  // swap
  complaint: Said & { readonly complaints: readonly Complaint[]; readonly better: FullItem | null };
  "wrong for its nights": {
    readonly felt: "cold" | "hot";
    readonly nights: number;
    readonly of: number;
    readonly low: number | null;
    readonly comfort: Comfort | null;
  };
  "lighter one owned": { readonly other: FullItem; readonly grams: number };
  // add
  missed: { readonly times: number; readonly cost: string };
  "take it along": { readonly owned: FullItem; readonly times: number };
  "nothing does it": { readonly job: Job };
  // keep as cover
  cover: Use & { readonly contents: boolean };
  "backup to another": Use & { readonly leader: FullItem };
  "needed when wanted": Use;
  // keep
  "earns its place": Use & {
    readonly days: number | null;
    readonly out: number;
    readonly called: number;
    readonly worth: number | null;
  };
  "made the trip": Said;
  "no call yet": { readonly trips: number };
  "too light to argue": Use;
  "for joy": Use;
  "too early to say": Use;
  "forgotten, not refused": object;
  "cut short": object;
  "weather, not the thing": { readonly symptom: Symptom | null };
  "lives with it": { readonly trouble: Incident };
  "said once among many": {
    readonly complaints: readonly Complaint[];
    readonly times: number;
    readonly of: number;
  };
  "lived with": { readonly complaints: readonly Complaint[]; readonly trips: number };
  "last of its job": { readonly job: Job; readonly others: readonly FullItem[] };
  "no marks yet": object;
  "at home": object;
  "your ruling": { readonly reason: string };
  // any verb, by the owner's own call
  "your word": { readonly call: OwnerCall; readonly complaints: readonly Complaint[] };
}

export type Reason = keyof ReasonFacts;

/** When to bring a thing. */
export interface When {
  readonly triggers: readonly Trigger[];
  readonly caller: Caller | null;
}

interface Found<R extends Reason> {
  readonly verb: Verb;
  readonly reason: R;
  readonly facts: ReasonFacts[R];
  readonly urgency: Urgency;
  readonly sureness: Sureness;
  /** The trips that it rests on. */
  readonly trips: readonly TripId[];
  readonly caution?: Caution;
  /** For "bring only when". */
  readonly when?: When;
  /** Grams that following it takes out of the pack. */
  readonly saves?: number;
  /** Already done: there is nothing to rule on. */
  readonly done?: boolean;
  /** What need not be said beside it, where that is other than its verb's. */
  readonly silences?: readonly Verb[];
}

/** What a rule finds: advice with its facts. The owner decides. */
export type Finding<R extends Reason = Reason> = R extends Reason ? Found<R> : never;

/**
 * A practitioner's rule: what it finds of a thing in use, or nothing. None of them hides another; `resolve`
 * says which leads.
 */
export type Rule = (one: Case) => Finding | null;

/** Builds a finding; the compiler holds its facts to its reason. */
export const findingOf = <R extends Reason>(finding: Found<R>): Finding<R> => finding as Finding<R>;
