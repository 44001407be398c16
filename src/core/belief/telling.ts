import type { Marked } from "../ledger/book";
import type { ItemId } from "../model";
import type { FullItem } from "../trade/full-item";
import { wasCalled } from "../ledger/called";
import { chancesOn } from "./use";
import { isOneOf } from "../sums/keys";

/** What an owner may say of a thing, outright. */
export type Telling =
  | "too much of it"
  | "another did the job"
  | "disliked"
  | "no call for it"
  | "forgot it"
  | "cover"
  | "trip cut short"
  | "could have stayed"
  | "made the trip"
  | "complaint"
  | "weather"
  | "sent away";

/** A telling, how often, and how much it weighs. */
export interface Told {
  readonly marks: readonly Marked[];
  /** Chances that it was said on: a trip is one, each full week one more. */
  readonly chances: number;
}

export type Tellings = ReadonlyMap<Telling, Told>;

const NOTHING: Told = { marks: [], chances: 0 };
export const toldOf = (tellings: Tellings, telling: Telling): Told => tellings.get(telling) ?? NOTHING;

/** All that an owner said outright of one thing. */
export function tellingsOf(item: FullItem, marks: readonly Marked[]): Tellings {
  const told = new Map<Telling, { marks: Marked[]; chances: number }>();
  for (const one of marks) {
    const said = tellingsOn(one, item);
    if (said.length === 0) continue;
    const chances = chancesOn(one.outing, one.part);
    for (const telling of said) {
      const sum = told.get(telling) ?? { marks: [], chances: 0 };
      sum.marks.push(one);
      sum.chances += chances;
      told.set(telling, sum);
    }
  }
  return told;
}

function tellingsOn(one: Marked, item: FullItem): Telling[] {
  const { mark, outing } = one;
  const told: Telling[] = [];
  const { made, stay } = outing.trip;
  if (isTooMuch(one, item)) told.push("too much of it");
  if (mark.use !== "used") {
    if (mark.why === "another did the job") told.push("another did the job");
    if (mark.why === "awkward" || mark.why === "uncomfortable") told.push("disliked");
    if (mark.use === "unused" && isOneOf(PLAIN_WHYS, mark.why)) told.push(mark.why);
  }
  if (has(stay, item.id)) told.push("could have stayed");
  if (has(made, item.id)) told.push("made the trip");
  if (mark.exit && (mark.exit.how === "sent home" || mark.exit.how === "given away")) told.push("sent away");
  const complaint = complaintOf(one, item);
  if (complaint) told.push(complaint);
  return told;
}

const PLAIN_WHYS = ["no call for it", "forgot it", "cover", "trip cut short"] as const;
const has = (ids: readonly ItemId[], id: ItemId) => ids.length > 0 && ids.includes(id);

/**
 * Left over in this share or more, of what is used up or opened, there was too much of it. Common practice,
 * no source.
 */
const TOO_MUCH_LEFT = 0.6;

/** Said to be too much; or fewer of its pieces would have been enough; or most of a kit stayed shut. */
const isTooMuch = ({ mark, outing }: Marked, { pieces, rules }: FullItem) =>
  mark.why === "too much of it" ||
  (mark.enough !== null && mark.enough < pieces) ||
  (mark.left !== null && mark.left >= TOO_MUCH_LEFT && rules.contents && !rules.cover && !outing.trip.cut);

/**
 * Something said against a thing that was used, and no fault that a service or a repair brings back. What the
 * weather made of it is no complaint of the thing; nor is wear, nor an empty battery.
 */
function complaintOf(one: Marked, item: FullItem): "complaint" | "weather" | null {
  const { mark } = one;
  if (mark.use === "unused") return null;
  // Let go of on the way for its design is as good as a complaint.
  const annoyed = mark.troubles.includes("nuisance") || (mark.exit !== null && mark.cause === "poor design");
  const said = mark.complaints.length > 0;
  if (!annoyed && !said) return null;
  if (mark.cause === "weather") return "weather";
  if (mark.cause === "worn" || mark.cause === "flat or empty" || mark.cause === "defect") return null;
  if (mark.complaints.length > 0 && mark.complaints.every(({ on }) => on !== null) && !wasCalled(one, item))
    return "weather";
  return said || mark.symptoms.length === 0 || mark.cause === "poor design" ? "complaint" : null;
}
