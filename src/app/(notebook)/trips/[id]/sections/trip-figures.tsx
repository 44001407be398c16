import type { Book } from "@/core/ledger/book";
import { plannedAgainstWalked } from "@/core/ledger/intended";
import { outingOf } from "@/core/ledger/outing";
import type { Trip } from "@/core/model";
import { sayAgainstPlan } from "@/core/say/walk/trip";
import { count, listWords, sayDeadWeight, sayDistance, sayMass, type Units } from "@/core/units/speak";
import { weighIn } from "@/core/weighin/weigh-in";
import { Figure } from "@/ui/page/figure";
import { tripPath } from "@/ui/paths";
import { gramMetresOf, gramsOf, unusedOf } from "@/core/ledger/along";
import type { Along } from "../along-of";

interface TripFiguresProps {
  readonly trip: Trip;
  readonly along: readonly Along[];
  readonly book: Book;
}

/** How far, how long, how heavy, and how much of it for nothing. */
export function TripFigures({ trip, along, book }: TripFiguresProps) {
  const { units } = book.settings;
  const { metres, nights, days } = outingOf(trip);
  // As the weigh-in has it, at the start.
  const start = weighIn(trip, book.item, book.items).legs[0];
  const weighInPath = `${tripPath(trip.id)}/weigh-in`;
  const roofed = days - 1 - nights;
  return (
    <>
      <dl className="mb-6 grid grid-cols-2 gap-x-8 gap-y-3 border-y border-rule py-3 sm:grid-cols-5">
        <Figure name="walked">{sayDistance(metres, units)}</Figure>
        <Figure name="nights" from="/trips/nights">
          {nights}
          {roofed > 0 && (
            <span className="block font-sans text-sm text-muted">and {roofed} under a roof</span>
          )}
        </Figure>
        <Figure name="base weight" from={weighInPath}>
          {sayMass(start?.base ?? 0, units)}
        </Figure>
        <Figure name="worn, hobby" from={weighInPath}>
          {sayMass(start?.worn ?? 0, units)}, {sayMass(start?.hobby ?? 0, units)}
        </Figure>
        <Figure name="carried for nothing" from="/trips/loads">
          {sayDeadWeight(gramMetresOf(unusedOf(along).dead), units)}
        </Figure>
      </dl>
      <ForNothing along={along} metres={metres} units={units} />
      <AgainstPlan trip={trip} along={along} units={units} />
    </>
  );
}

interface ForNothingProps {
  readonly along: readonly Along[];
  /** How far it was, in metres. */
  readonly metres: number;
  readonly units: Units;
}

function ForNothing({ along, metres, units }: ForNothingProps) {
  const { dead, cover } = unusedOf(along);
  if (dead.length === 0) return null;
  const far = dead.every((each) => each.metres === metres)
    ? sayDistance(metres, units)
    : "all or part of the way";
  return (
    <p className="-mt-3 mb-6">
      {sayMass(gramsOf(dead), units)} in {count(dead.length, "thing")} was carried {far} for nothing
      {cover.length > 0 &&
        `; ${sayMass(gramsOf(cover), units)} of cover was not needed either, and is not counted`}
      .
    </p>
  );
}

function AgainstPlan({ trip, along, units }: Omit<TripFiguresProps, "book"> & { units: Units }) {
  const against = plannedAgainstWalked(trip);
  const kept = along.filter(({ carry }) => carry.mark?.why === "trip cut short");
  if (!against && kept.length === 0) return null;
  const names = listWords(kept.map(({ item }) => item.name));
  return (
    <p className="-mt-3 mb-6">
      {against && sayAgainstPlan(against, units)}{" "}
      {kept.length > 0 && `Kept for days that never came: ${names}, ${sayMass(gramsOf(kept), units)}.`}
    </p>
  );
}
