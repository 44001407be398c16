import type { Advice } from "../advice/advise";
import { shareUsed, usedInAll } from "../ledger/totals";
import { inOrder } from "../sums/days";

/** What a thing, or all that held a slot, had cost and served by a day. */
export interface CostPoint {
  readonly on: string;
  readonly nights: number;
  readonly paid: number;
  /** It was paid for on that day: got, mended, washed. */
  readonly isPaid: boolean;
}

/** Nights and money, as they came, of one thing. */
function stepsOf({ case: { item, totals, marked, book } }: Advice, own: string) {
  const raw = marked.map(
    ({ outing, mark, part }) => outing.nights * part * shareUsed(mark, outing.days * part),
  );
  const sum = raw.reduce((all, nights) => all + nights, 0);
  // A shelter does not serve under a roof: in all it comes to what its totals say.
  const scale = sum > 0 ? totals.used.nights / sum : 0;
  const entries = book.entriesOf(item.id);
  const days = [item.acquired, marked[0]?.outing.trip.starts, entries[0]?.on].flatMap((day) => day ?? []);
  // Of a thing that no day is told of, all that is known is known today.
  const first = days.sort(inOrder)[0] ?? book.today;
  const before = usedInAll(totals).nights - totals.used.nights;
  return [
    { on: first, nights: before, paid: item.price ?? 0 },
    ...marked.map(({ outing }, n) => ({ on: outing.trip.ends, nights: raw[n]! * scale, paid: 0 })),
    // Entries are told in the owner's currency, whatever the thing was bought in.
    ...((item.currency ?? own) === own
      ? entries.flatMap(({ on, cost }) => (cost ? [{ on, nights: 0, paid: cost }] : []))
      : []),
  ];
}

/** What a slot's things had cost and served, day by day as something was paid or they were out; oldest first. */
export function asItWent(things: readonly Advice[], own: string): CostPoint[] {
  const steps = things.flatMap((advice) => stepsOf(advice, own)).sort((a, b) => inOrder(a.on, b.on));
  const sum = { nights: 0, paid: 0 };
  return steps
    .filter(({ nights, paid }) => nights > 0 || paid > 0)
    .map(({ on, nights, paid }) => {
      sum.nights += nights;
      sum.paid += paid;
      return { on, ...sum, isPaid: paid > 0 };
    });
}
