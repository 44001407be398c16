import Link from "next/link";
import type { Trip } from "@/core/model";
import { sayCold, sayMonths } from "@/core/plan/kits/kit-words";
import type { PlanLine } from "@/core/plan/plan";
import { isTooCold, type HeldKit } from "@/core/plan/kits/which-kit";
import { sayWhy } from "@/core/plan/words";
import type { Replayed } from "@/core/replay/replay";
import { sayReplay } from "@/core/replay/words";
import { sayTriggers } from "@/core/say/words";
import { count, sayMass, type Units } from "@/core/units/speak";
import { itemPath, kitPath, replayPath } from "@/ui/paths";
import { DeleteKit, TakeKit } from "./kit-doing";

interface KitCardProps {
  readonly held: HeldKit;
  /** It fits the trip best. */
  readonly isFirst: boolean;
  readonly trip: Trip | null;
  readonly low: number | null;
  /** It, walked over the days of its months. */
  readonly replayed: Replayed;
  readonly units: Units;
}

/** A kit: what it is for, whether it is warm enough, what to put in and take out, what it would have come to. */
export function KitCard({ held, isFirst, trip, low, replayed, units }: KitCardProps) {
  const { kit, things, gone, putIn, takeOut, swap, grams } = held;
  const changes = putIn.length + takeOut.length + swap.length;
  return (
    <li className={`border-t-4 pt-2 ${isFirst ? "border-leaf" : "border-rule"}`}>
      <h2 className="flex flex-wrap items-baseline gap-x-3 text-xl">
        <Link prefetch={false} href={kitPath(kit.id)} className="hover:underline">
          {kit.name}
        </Link>
        <span className="font-sans text-sm font-normal text-muted">
          {sayMonths(kit.months)}
          {kit.weather.length > 0 && `; for ${sayTriggers(kit.weather, "and")}`}
        </span>
        <span className="num ml-auto font-sans text-base font-normal">
          {count(things.length, "thing")}, {sayMass(grams, units)}
        </span>
      </h2>
      {isFirst && (
        <p className="font-semibold text-leaf">
          {isTooCold(held) ? "Comes nearest to what this trip asks." : "Fits this trip best."}
        </p>
      )}
      <p>{sayCold(held, low, units)}</p>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3">
        <Changes what="In" lines={putIn} />
        <Changes what="Out" lines={takeOut} />
        {swap.map(({ from, to }) => (
          <Named key={from.item.id} what="Instead" words={`${to.item.name} for ${from.item.name}`} />
        ))}
        {gone.map(({ thing, heir }) => (
          <Named
            key={thing.id}
            what="Gone"
            words={`${thing.name}${heir ? `: now ${heir.name}` : ", and nothing in its place"}`}
          />
        ))}
      </dl>
      {changes === 0 && <p className="text-muted">Nothing to put in, nothing to take out.</p>}
      <p className="mt-1 text-sm text-muted">
        {kit.months.length > 0 && replayed.days.length > 0 && "In its months: "}
        {sayReplay(replayed, units)}{" "}
        <Link prefetch={false} href={replayPath({ list: `kit ${kit.id}` })} className="link">
          Day by day<span className="sr-only"> {kit.name}</span>
        </Link>
      </p>
      <p className="no-print mt-2 flex flex-wrap gap-2">
        {trip && <TakeKit kit={kit} trip={trip.id} words={changes > 0 ? "Take it so changed" : "Take it"} />}
        <Link prefetch={false} href={kitPath(kit.id)} className="btn btn-plain">
          Change<span className="sr-only"> {kit.name}</span>
        </Link>
        <DeleteKit kit={kit} />
      </p>
    </li>
  );
}

/** Lines that are told; the rest are counted. */
const TOLD = 6;

function Changes({ what, lines }: { readonly what: string; readonly lines: readonly PlanLine[] }) {
  if (lines.length === 0) return null;
  const more = lines.length - TOLD;
  return (
    <>
      <dt className="text-sm font-semibold">{what}</dt>
      <dd>
        <ul>
          {lines.slice(0, TOLD).map((line) => (
            <li key={line.item.id}>
              <Link prefetch={false} href={itemPath(line.item.id)} className="hover:underline">
                {line.item.name}
              </Link>{" "}
              <span className="text-sm text-muted">{sayWhy(line)}</span>
            </li>
          ))}
          {more > 0 && (
            <li className="text-sm text-muted">
              and{" "}
              {lines
                .slice(TOLD)
                .map(({ item }) => item.name)
                .join(", ")}
            </li>
          )}
        </ul>
      </dd>
    </>
  );
}

const Named = ({ what, words }: { readonly what: string; readonly words: string }) => (
  <>
    <dt className="text-sm font-semibold">{what}</dt>
    <dd>{words}</dd>
  </>
);
