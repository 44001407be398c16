import { arc } from "d3-shape";
import { daysBetween } from "@/core/sums/days";
import type { Season } from "@/core/seasons/season";
import { METRES_PER_MILE } from "@/core/units/quantity";
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
                  className="fill-muted text-[13px]"
                >
                  {month}
                </text>
              </g>
            );
          })}
          <Ring season={year} radius={OUTER} furthest={furthest} look="fill-leaf" />
          <Scale furthest={furthest} units={units} />
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
      <figcaption className="mt-1 flex flex-wrap justify-center gap-x-4 text-sm text-muted">
        <Sign look="bg-leaf" words={`a walk of ${year.year}, the higher the further`} />
        {inside && <Sign look="bg-catkin-strong" words={`of ${inside.year}`} />}
        <Sign look="bg-sting" words="something failed on it" />
      </figcaption>
    </figure>
  );
}

const Sign = ({ look, words }: { readonly look: string; readonly words: string }) => (
  <span className="inline-flex items-center gap-1.5">
    <span aria-hidden className={`inline-block size-3 ${look}`} />
    {words}
  </span>
);

/** How far out a walk of a length stands, in metres. */
const heightOf = (metres: number, furthest: number) => 5 + (HEIGHT - 5) * Math.sqrt(metres / furthest);

/** A round length about half of the furthest, as a circle of dots with its word. */
function Scale({ furthest, units }: { furthest: number; units: Units }) {
  const unit = units.distance === "km" ? 1000 : METRES_PER_MILE;
  const round = 10 ** Math.floor(Math.log10(furthest / unit));
  const metres = round * (furthest / unit >= 5 * round ? 2 : 1) * unit;
  const at = OUTER - HEIGHT + heightOf(metres, furthest);
  return (
    <>
      <circle r={at} className="fill-none stroke-rule-strong [stroke-dasharray:2_5]" />
      <text y={-at - 3} x={4} className="fill-muted text-[12px]">
        {sayDistance(metres, units)}
      </text>
    </>
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
        const high = radius - HEIGHT + heightOf(metres, furthest);
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
