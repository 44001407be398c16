import { arc } from "d3-shape";
import { daysBetween } from "@/core/sums/days";
import type { Season } from "@/core/seasons/season";
import { sayDays, sayDistance, type Units } from "@/core/units/speak";

const SIZE = 360;
const MIDDLE = SIZE / 2;
const OUTER = 172;
const INNER = 112;
/** Furthest that a trip's arc stands out of its ring. */
const HEIGHT = 46;
const MONTHS = ["J", "F", "M", "A", "M", "J", "J", "A", "S", "O", "N", "D"] as const;

/**
 * A year as a ring, January at the top and on with the clock, the year before inside it: each trip where it
 * was, the higher the further, with a red end where something failed.
 */
export function YearRing({
  year,
  inside,
  units,
}: {
  year: Season;
  /** The year before; null where it is the same. */
  inside: Season | null;
  units: Units;
}) {
  const furthest = Math.max(
    1,
    ...[year, inside].flatMap((each) => each?.outings ?? []).map(({ metres }) => metres),
  );
  return (
    <figure className="mx-auto w-full max-w-90 lg:w-90">
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        role="img"
        aria-label={[sayYear(year, units), inside && `inside it ${sayYear(inside, units)}`]
          .filter(Boolean)
          .join(" ")}
      >
        <g transform={`translate(${MIDDLE} ${MIDDLE})`}>
          {MONTHS.map((month, n) => {
            const at = ((n + 0.5) / 12) * 2 * Math.PI;
            const edge = (n / 12) * 2 * Math.PI;
            return (
              <g key={n}>
                <line
                  x1={Math.sin(edge) * (INNER - HEIGHT)}
                  y1={-Math.cos(edge) * (INNER - HEIGHT)}
                  x2={Math.sin(edge) * OUTER}
                  y2={-Math.cos(edge) * OUTER}
                  className="stroke-rule"
                />
                <text
                  x={Math.sin(at) * (INNER - HEIGHT - 10)}
                  y={-Math.cos(at) * (INNER - HEIGHT - 10) + 4}
                  textAnchor="middle"
                  className="fill-muted text-[11px]"
                >
                  {month}
                </text>
              </g>
            );
          })}
          <Ring season={year} radius={OUTER} furthest={furthest} look="fill-leaf" />
          {inside && <Ring season={inside} radius={INNER} furthest={furthest} look="fill-catkin-strong" />}
          <text textAnchor="middle" y={inside ? -2 : 5} className="fill-ink font-head text-[15px] font-bold">
            {year.year}
          </text>
          {inside && (
            <text textAnchor="middle" y={15} className="fill-muted text-[12px]">
              inside: {inside.year}
            </text>
          )}
        </g>
      </svg>
    </figure>
  );
}

const sayYear = ({ year, outings }: Season, units: Units) =>
  `${year}: ${outings
    .map(({ trip, metres }) =>
      [trip.name, sayDays(trip.starts, trip.ends), sayDistance(metres, units)].join(", "),
    )
    .join("; ")}.`;

function Ring({
  season,
  radius,
  furthest,
  look,
}: {
  season: Season;
  radius: number;
  furthest: number;
  look: string;
}) {
  const days = daysBetween(`${season.year}-01-01`, `${season.year}-12-31`) + 1;
  const angle = (day: string) =>
    (Math.min(days, Math.max(0, daysBetween(`${season.year}-01-01`, day))) / days) * 2 * Math.PI;
  return (
    <>
      <circle r={radius - HEIGHT} className="fill-none stroke-rule-strong" />
      {season.outings.map(({ trip, metres }) => {
        const from = angle(trip.starts);
        // A day is thinner than a pen's stroke.
        const to = Math.max(angle(trip.ends) + (2 * Math.PI) / days, from + 0.05);
        const high = radius - HEIGHT + 5 + (HEIGHT - 5) * Math.sqrt(metres / furthest);
        const failed = season.failedOn.has(trip.id);
        const path = arc();
        return (
          <g key={trip.id}>
            <path
              d={path({ innerRadius: radius - HEIGHT, outerRadius: high, startAngle: from, endAngle: to })!}
              className={look}
            >
              <title>{`${trip.name}, ${sayDays(trip.starts, trip.ends)}`}</title>
            </path>
            {failed && (
              <path
                d={path({ innerRadius: high, outerRadius: high + 4, startAngle: from, endAngle: to })!}
                className="fill-sting"
              />
            )}
          </g>
        );
      })}
    </>
  );
}
