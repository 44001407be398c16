import Link from "next/link";
import type { Advice } from "@/core/advice/advise";
import type { Carried } from "@/core/ledger/book";
import type { Entry, ItemId, Trip } from "@/core/model";
import { legName, sayMark } from "@/core/say/walk/mark";
import { count, sayDay, sayDistance } from "@/core/units/speak";
import { tripPath } from "@/ui/paths";
import { Stroke, STROKES } from "@/ui/stroke/stroke";
import { strokeOf } from "@/ui/stroke/stroke-code";
import { RemoveEntry } from "./remove-entry";

/** Trips and entries together, the newest first. */
export function History({ advice }: { advice: Advice }) {
  const { item, book } = advice.case;
  const happened = [
    ...book.carriedOf(item.id).map((carried) => ({
      on: carried.outing.trip.ends,
      key: String(carried.outing.trip.id),
      line: <OnTrip advice={advice} carried={carried} />,
    })),
    ...book.entriesOf(item.id).map((entry) => ({
      on: entry.on,
      key: String(entry.id),
      line: <Between advice={advice} entry={entry} />,
    })),
  ].sort((a, b) => b.on.localeCompare(a.on));
  return (
    <section>
      <h2 className="border-b-2 border-ink pb-1 text-lg">What happened</h2>
      {happened.length === 0 && (
        <p className="py-3 text-muted">Not out yet. Its marks will stand here, newest first.</p>
      )}
      <ul>
        {happened.map(({ on, key, line }) => (
          <li key={key} className="flex items-baseline gap-3 border-b border-rule py-1.5">
            <span className="w-40 shrink-0 text-sm text-muted">{sayDay(on)}</span>
            {line}
          </li>
        ))}
      </ul>
    </section>
  );
}

function OnTrip({ advice, carried }: { advice: Advice; carried: Carried }) {
  const { item, book } = advice.case;
  const { trip } = carried.outing;
  const code = strokeOf(carried, item);
  const said = carried.mark ? sayMark(carried.mark, book.settings.units, namesOn(trip, advice)) : [];
  return (
    <>
      <span className="w-4 shrink-0 self-center">
        <Stroke code={code} size={18} />
      </span>
      <span>
        <Link prefetch={false} href={tripPath(trip.id)} className="font-semibold hover:underline">
          {trip.name}
        </Link>{" "}
        {STROKES[code]}
        <span className="block text-sm text-muted">{said.join("; ")}</span>
      </span>
    </>
  );
}

const namesOn = ({ legs }: Pick<Trip, "legs">, { case: { book } }: Advice) => ({
  item: (other: ItemId) => book.item(other)?.name ?? "something else",
  leg: (leg: string) => legName(legs, leg),
});

function Between({ advice, entry }: { advice: Advice; entry: Entry }) {
  const { units, currency } = advice.case.book.settings;
  const found = [
    entry.condition !== null ? `condition ${entry.condition} of 5` : "",
    entry.reading ? `${entry.reading.what} ${entry.reading.value}` : "",
    entry.note,
  ];
  return (
    <>
      <span className="w-4 shrink-0 text-center text-stem" aria-hidden="true">
        ◆
      </span>
      <span className="flex-1">
        <b>{entry.service ?? entry.what}</b>
        {entry.distance && `, ${sayDistance(entry.distance.m, units)}`}
        {entry.nights > 0 && `, ${count(entry.nights, "night")}`}
        {entry.cost ? `, ${currency}${entry.cost}` : ""}
        <span className="block text-sm text-muted">{found.filter(Boolean).join("; ")}</span>
      </span>
      <RemoveEntry entry={entry} />
    </>
  );
}
