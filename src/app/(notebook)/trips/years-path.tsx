import { scaleLinear, scaleSqrt } from "d3-scale";
import { outingOf } from "@/core/ledger/outing";
import type { Trip } from "@/core/model";
import { groupBy } from "@/core/sums/group";
import { hillsPath } from "@/ui/chart/hills";
import { sayDays, sayDistance, type Units } from "@/core/units/speak";
import { lastOf, nth } from "@/core/sums/there";

const WIDE = 1000;
const HIGH = 96;
const GROUND = 74;
const EDGE = 4;
/** Years that are drawn. */
const LATEST = 6;
/** A climb that nobody told is drawn as one of a level walk, metres up for each on. */
const LEVEL = 0.004;
/** A name needs so much room. */
const NAMED_FROM = 70;

interface Walked {
  readonly trip: Trip;
  readonly metres: number;
  readonly ascent: number;
  readonly failed: boolean;
}

interface YearsPathProps {
  readonly trips: readonly Trip[];
  readonly units: Units;
}

/** All that was walked as one way, a year a line: as long as it was, as high as it climbed, where something failed. */
export function YearsPath({ trips, units }: YearsPathProps) {
  const walked = trips
    .filter(({ planned }) => !planned)
    .toSorted((a, b) => a.starts.localeCompare(b.starts))
    .map((trip): Walked => {
      const { metres } = outingOf(trip);
      const told = trip.legs.reduce((sum, leg) => sum + (leg.ascent?.m ?? 0), 0);
      const failed = trip.carries.some(({ mark }) => mark?.troubles.includes("failed"));
      return { trip, metres, ascent: told || metres * LEVEL, failed };
    });
  if (walked.length < 2) return null;
  const years = [...groupBy(walked, ({ trip }) => trip.starts.slice(0, 4))].slice(-LATEST);
  const sum = (these: readonly Walked[]) => these.reduce((all, { metres }) => all + metres, 0);
  const furthest = Math.max(...years.map(([, these]) => sum(these)));
  const steepest = Math.max(...walked.map(({ ascent }) => ascent));
  return (
    <figure className="mb-5">
      {years.map(([year, these]) => (
        <div key={year} className="grid items-end gap-x-3 sm:grid-cols-[3.5rem_1fr]">
          <span className="font-head font-bold">{year}</span>
          <YearLine these={these} furthest={furthest} steepest={steepest} units={units} />
        </div>
      ))}
      <figcaption className="hint">
        Each walk as long as its way and as high as its climb in all; a red mark where something failed. No
        terrain: a hill for each walk.
      </figcaption>
    </figure>
  );
}

interface YearLineProps {
  readonly these: readonly Walked[];
  readonly furthest: number;
  readonly steepest: number;
  readonly units: Units;
}

function YearLine({ these, furthest, steepest, units }: YearLineProps) {
  const x = scaleLinear([0, furthest], [EDGE, WIDE - EDGE]);
  const y = scaleSqrt([0, steepest], [GROUND - 2, 8]);
  const gone = these.reduce((sum, { metres }) => [...sum, lastOf(sum) + metres], [0]);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="w-full"
      role="img"
      aria-label={these.map((each) => sayWalked(each, units)).join("; ")}
    >
      {these.map(({ trip, metres, ascent, failed }, n) => {
        const [from, to] = [x(nth(gone, n)), x(nth(gone, n + 1))];
        const hill = hillsPath([{ from, to, top: y(ascent) }], GROUND);
        const words = sayWalked({ trip, metres, ascent, failed }, units);
        return (
          <g key={trip.id}>
            <title>{words}</title>
            <rect x={from} y={0} width={to - from} height={HIGH} className="fill-transparent" />
            <path d={hill} className="fill-leaf-soft stroke-leaf [stroke-width:1.5]" />
            {failed && (
              <path d={`M${(from + to) / 2 - 6} ${GROUND + 2} l6 9 l6 -9 z`} className="fill-sting" />
            )}
            <circle cx={from} cy={GROUND} r={3} className="fill-paper stroke-leaf" />
            {to - from >= NAMED_FROM && (
              <text x={from + 4} y={HIGH - 6} className="hidden fill-ink text-[13px] sm:block">
                {shortened(trip.name, to - from)}
              </text>
            )}
          </g>
        );
      })}
      <line x1={x(0)} x2={x(lastOf(gone))} y1={GROUND} y2={GROUND} className="stroke-ink" />
    </svg>
  );
}

const sayWalked = ({ trip, metres, failed }: Walked, units: Units) =>
  `${trip.name}, ${sayDays(trip.starts, trip.ends)}, ${sayDistance(metres, units)}${failed ? ", something failed" : ""}`;

/** A letter is about so wide. */
const LETTER = 7.2;
const shortened = (name: string, room: number) => {
  const most = Math.floor((room - 6) / LETTER);
  return name.length <= most ? name : `${name.slice(0, Math.max(1, most - 1))}…`;
};
