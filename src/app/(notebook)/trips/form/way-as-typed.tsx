import { useMemo } from "react";
import { useWatch } from "react-hook-form";
import { daysBetween } from "@/core/sums/days";
import { parseLength, parseNumber } from "@/core/units/quantity";
import { count, sayDistance, sayHeight, type Units } from "@/core/units/speak";
import { hillsPath } from "@/ui/chart/hills";
import type { LegValues, TripValues } from "./trip-form-values";
import type { PartOfTripForm } from "./when-fields";
import { lastOf, nth } from "@/core/sums/there";

const WIDE = 1000;
const HIGH = 120;
const GROUND = 84;
const TOP = 26;
const EDGE = 8;
/** Of a leg whose climb is not typed yet, metres up for each on. */
const LEVEL = 0.004;
/** A leg's name needs so much room; a letter takes so much. */
const [NAMED_FROM, LETTER] = [60, 7.4];

interface Stretch {
  readonly name: string;
  readonly metres: number;
  readonly ascent: number | null;
}

/** What can be read of a leg as it is typed; what can't yet is left out. */
function stretchOf({ name, distance, ascent }: LegValues, units: Units): Stretch[] {
  const way = parseLength(distance, units.distance);
  if (!way.ok || way.value.m <= 0) return [];
  const up = parseLength(ascent, units.distance === "km" ? "m" : "ft");
  return [{ name, metres: way.value.m, ascent: up.ok ? up.value.m : null }];
}

/** Nights as typed, or as the dates have them; 0 where neither says. */
function nightsOf({ nights, starts, ends }: Pick<TripValues, "nights" | "starts" | "ends">): number {
  const typed = parseNumber(nights);
  if (typed !== null) return Math.max(0, Math.round(typed));
  return starts && ends && ends > starts ? daysBetween(starts, ends) : 0;
}

/** More nights than this are no longer drawn one by one. */
const MOST_NIGHTS = 40;

/** The way as it is being said: a hill a leg, a tent a night, the weather above it. */
export function WayAsTyped({ form: { control }, units }: Pick<PartOfTripForm, "form" | "units">) {
  const [typedLegs, nightsTyped, first, last, conditions] = useWatch({
    control,
    name: ["legs", "nights", "starts", "ends", "conditions"],
  });
  const legs = useMemo(() => typedLegs.flatMap((leg) => stretchOf(leg, units)), [typedLegs, units]);
  const metres = legs.reduce((sum, leg) => sum + leg.metres, 0);
  if (metres === 0) return null;
  const x = (at: number) => EDGE + ((WIDE - 2 * EDGE) * at) / metres;
  const climb = ({ ascent, metres: way }: Stretch) => (ascent ?? way * LEVEL) / way;
  const steepest = Math.max(LEVEL, ...legs.map(climb));
  const starts = legs.reduce((all, leg) => [...all, lastOf(all) + leg.metres], [0]);
  const nights = nightsOf({ nights: nightsTyped, starts: first, ends: last });
  const up = legs.reduce((sum, { ascent }) => sum + (ascent ?? 0), 0);
  const weather = Object.entries(conditions).flatMap(([trigger, strength]) =>
    strength === "some" || strength === "strong"
      ? [strength === "strong" ? `strong ${trigger}` : trigger]
      : [],
  );
  const words = [
    sayDistance(metres, units),
    ...(up > 0 ? [`${sayHeight(up, units)} up`] : []),
    count(nights, "night"),
    ...weather,
  ].join(", ");
  return (
    <figure>
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="w-full" role="img" aria-label="The way so far">
        <path
          d={hillsPath(
            legs.map((leg, n) => ({
              from: x(nth(starts, n)),
              to: x(nth(starts, n + 1)),
              top: GROUND - (GROUND - TOP) * (climb(leg) / steepest),
            })),
            GROUND,
          )}
          className="fill-leaf-soft stroke-leaf [stroke-width:2]"
        />
        <line x1={EDGE} x2={WIDE - EDGE} y1={GROUND} y2={GROUND} className="stroke-ink" />
        {legs.map((leg, n) => (
          <LegName key={n} leg={leg} from={x(nth(starts, n))} to={x(nth(starts, n + 1))} />
        ))}
        {nights <= MOST_NIGHTS &&
          Array.from({ length: nights }, (_, n) => x((metres * (n + 1)) / (nights + 1))).map((at) => (
            <path
              key={at}
              d={`M${at - 7} ${GROUND} l7 -11 l7 11 z`}
              className="fill-paper stroke-stem [stroke-width:2]"
            />
          ))}
      </svg>
      <figcaption className="text-sm text-muted">{words}</figcaption>
    </figure>
  );
}

function LegName({ leg, from, to }: { leg: Stretch; from: number; to: number }) {
  const most = Math.floor((to - from - 8) / LETTER);
  return (
    <>
      <circle cx={from} cy={GROUND} r={4} className="fill-paper stroke-leaf [stroke-width:2]" />
      {to - from >= NAMED_FROM && (
        <text x={from + 6} y={GROUND + 18} className="hidden fill-ink text-[13px] sm:block">
          {leg.name.length > most ? `${leg.name.slice(0, Math.max(1, most - 1))}…` : leg.name}
        </text>
      )}
    </>
  );
}
