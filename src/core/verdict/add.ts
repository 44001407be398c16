import type { Book } from "../ledger/book";
import { groupBy } from "../ledger/group";
import type { TripId } from "../model";
import { count } from "../units/speak";
import type { Finding } from "./verdict";

/** Something missed on the way. It belongs to the list, not to an item. */
export interface Addition extends Finding {
  readonly what: string;
}

/** Missed once where that was dangerous or ended a trip, or twice otherwise, and nothing of that name bought since. */
export function additions(book: Book): Addition[] {
  const missed = book.outings.flatMap(({ trip }) => trip.missed.map((one) => ({ ...one, trip })));
  return [...groupBy(missed, (one) => one.what.trim().toLowerCase())].flatMap(([name, times]) => {
    const grave = times.some(({ cost }) => cost === "danger" || cost === "trip-ending");
    if (times.length < 2 && !grave) return [];
    const last = times.at(-1)!;
    if (book.items.some((item) => item.state === "active" && item.name.toLowerCase().includes(name) && (item.acquired ?? "") > last.trip.ends)) return [];
    const trips: TripId[] = times.map(({ trip }) => trip.id);
    return [{
      what: last.what, verb: "add", urgency: grave ? "before next trip" : "when convenient", sureness: grave || times.length > 2 ? "sure" : "likely",
      says: `Missed on ${times.length === 1 ? last.trip.name : count(times.length, "trip")}${grave ? ", where it mattered" : ""}. Add it.`,
      evidence: [{ text: `missed on ${times.map(({ trip }) => trip.name).join(", ")}`, trips }],
      flips: "Put it on the shelf.",
    }];
  });
}
