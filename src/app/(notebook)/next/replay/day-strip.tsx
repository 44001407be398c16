import Link from "next/link";
import type { ReactNode } from "react";
import { scaleLinear } from "d3-scale";
import type { Day } from "@/core/replay/days";
import type { Replayed } from "@/core/replay/replay";
import { sayOfDay } from "@/core/replay/words";
import type { Book } from "@/core/ledger/book";
import { groupBy } from "@/core/sums/group";
import { count, sayDays, type Units } from "@/core/units/speak";
import { tripPath } from "@/ui/paths";

const WIDE = 15;
const HIGH = 56;
/** Where the ground lies; the way stands on it, what was lacking hangs below. */
const GROUND = 40;
const FURTHEST_M = 35_000;

interface DayStripProps {
  readonly book: Book;
  readonly replayed: Replayed;
  readonly units: Units;
}

/** The days, walk by walk: how far, in rain or frost, and below the ground what a list would have lacked there. */
export function DayStrip({ book, replayed, units }: DayStripProps) {
  const cold = new Set(replayed.cold.map(({ day }) => day));
  const lacking = new Set([
    ...replayed.lacks.flatMap(({ days }) => days),
    ...replayed.water.map(({ day }) => day),
  ]);
  const walks = [...groupBy(replayed.days, ({ trip }) => trip)];
  return (
    <figure>
      <ul className="flex flex-wrap gap-x-5 gap-y-3">
        {walks.map(([id, days]) => {
          const trip = book.outings.find((outing) => outing.trip.id === id)!.trip;
          const wrong = days.filter((day) => cold.has(day) || lacking.has(day)).length;
          return (
            <li key={id} className="max-w-full">
              <Link prefetch={false} href={tripPath(id)} className="link text-sm">
                {trip.name}
              </Link>{" "}
              <span className="text-xs text-muted">{sayDays(trip.starts, trip.ends)}</span>
              <div className="max-w-full overflow-x-auto">
                <svg
                  width={days.length * WIDE}
                  height={HIGH}
                  role="img"
                  aria-label={`${count(days.length, "day")}, ${wrong === 0 ? "nothing missed" : `something missed on ${wrong}`}`}
                >
                  {days.map((day, n) => (
                    <DayMark
                      key={day.n}
                      day={day}
                      x={n * WIDE}
                      isCold={cold.has(day)}
                      isLacking={lacking.has(day)}
                      units={units}
                    />
                  ))}
                </svg>
              </div>
            </li>
          );
        })}
      </ul>
      <figcaption className="mt-2 flex flex-wrap gap-x-5 text-sm text-muted">
        <Sign words="how far that day">
          <rect x={3} y={6} width={9} height={12} className="fill-rule" />
        </Sign>
        <Sign words="rain; much rain">
          <Rain x={0} y={2} strong />
        </Sign>
        <Sign words="frost">
          <Frost x={0} y={8} />
        </Sign>
        <Sign words="a cold night on this list">
          <path d="M3 5 l9 9 m0 -9 l-9 9" className={COLD} />
        </Sign>
        <Sign words="something would have been missing">
          <circle cx={7.5} cy={10} r={4} className="fill-sting" />
        </Sign>
        <span>Pale: guessed for the day</span>
      </figcaption>
    </figure>
  );
}

const COLD = "fill-none stroke-sting [stroke-width:2.5]";

function Sign({ words, children }: { readonly words: string; readonly children: ReactNode }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <svg width={WIDE} height={20} aria-hidden>
        {children}
      </svg>
      {words}
    </span>
  );
}

const way = scaleLinear([0, FURTHEST_M], [0, 24]).clamp(true);

interface DayMarkProps {
  readonly day: Day;
  readonly x: number;
  readonly isCold: boolean;
  readonly isLacking: boolean;
  readonly units: Units;
}

function DayMark({ day, x, isCold, isLacking, units }: DayMarkProps) {
  const { weather, guessed, metres, night } = day;
  const isFrosty = weather.has("freezing") || (night !== null && night.low !== null && night.low < 0);
  const isFrostGuessed = night === null || night.isGuess;
  return (
    <g>
      <title>{sayOfDay(day, units)}</title>
      <rect x={x} y={0} width={WIDE} height={HIGH} className="fill-transparent" />
      <rect x={x + 3} y={GROUND - way(metres)} width={9} height={way(metres)} className="fill-rule" />
      <line x1={x} x2={x + WIDE} y1={GROUND} y2={GROUND} className="stroke-muted" />
      {weather.has("rain") && (
        <g opacity={guessed.has("rain") ? 0.45 : 1}>
          <Rain x={x} y={2} strong={weather.get("rain") === "strong"} />
        </g>
      )}
      {isFrosty && (
        <g opacity={isFrostGuessed ? 0.45 : 1}>
          <Frost x={x} y={GROUND - 5} />
        </g>
      )}
      {isCold && <path d={`M${x + 3} ${GROUND + 4} l9 9 m0 -9 l-9 9`} className={COLD} />}
      {isLacking && !isCold && <circle cx={x + 7.5} cy={GROUND + 8.5} r={4} className="fill-sting" />}
    </g>
  );
}

/** Slanted strokes: one for rain, two for much. */
function Rain({ x, y, strong }: { readonly x: number; readonly y: number; readonly strong: boolean }) {
  const stroke = (at: number) => `M${x + at + 3} ${y} l-3 11`;
  return (
    <path
      d={strong ? `${stroke(4)} ${stroke(9)}` : stroke(6)}
      className="fill-none stroke-ink [stroke-width:1.8]"
    />
  );
}

/** A row of teeth along the ground. */
const Frost = ({ x, y }: { readonly x: number; readonly y: number }) => (
  <path
    d={`M${x + 1} ${y + 4} l2.2 -5 l2.2 5 l2.2 -5 l2.2 5 l2.2 -5 l2.2 5`}
    className="fill-none stroke-ink [stroke-width:1.4]"
  />
);
