import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import type { Track } from "@/core/model";
import { naismithSeconds, SLOPE_NAMES } from "@/core/track/sums";
import { distanceNumber, percent, sayDistance, sayHeight, type Units } from "@/core/units/speak";
import { METRES_PER_FOOT, METRES_PER_MILE } from "@/core/units/quantity";
import { flagEnd, flagRows } from "@/ui/chart/flags";
import { Figure } from "@/ui/page/figure";
import { lastOf, nth } from "@/core/sums/there";

/** Something that happened at a place on the way. */
export interface Happened {
  readonly metres: number;
  readonly name: string;
  readonly words: string;
}

type Point = Track["points"][number];
const [METRES, LAT, LON, ELE, , ANEW] = [0, 1, 2, 3, 4, 5] as const;

const WIDE = 900;
/** The profile itself; what is named above it comes on top. */
const HIGH = 150;
const LEFT = 46;
const FOOT = 22;
/** The units of the axes and the lowest row of names, and each row above it. */
const [HEAD, ROW] = [30, 17] as const;

/** The way that was walked: its profile with what happened on it, its plan, and its times beside the rules of thumb. */
export function TrackView({
  track,
  ends,
  happened,
  units,
  gpx,
}: {
  track: Track;
  /** Where legs end, in metres. */
  ends: readonly number[];
  happened: readonly Happened[];
  units: Units;
  /** Where the track is to be had as GPX. */
  gpx: string;
}) {
  const { metres, ascent, descent, movingSeconds, toblerSeconds, slopes } = track;
  return (
    <section aria-labelledby="track-title" className="mb-8">
      <h2 id="track-title" className="mb-1 flex items-baseline gap-4 text-lg">
        The track
        <a href={gpx} className="link font-sans text-sm font-normal" download>
          as GPX
        </a>
      </h2>
      <div className="grid gap-4 lg:grid-cols-[1fr_15rem]">
        {track.points.some((point) => point[ELE] !== null) ? (
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Profile">
            <Profile track={track} ends={ends} happened={happened} units={units} />
          </div>
        ) : (
          <p className="self-center text-muted">There are no heights in it, so no profile.</p>
        )}
        <Plan track={track} units={units} />
      </div>
      <dl className="mt-3 flex flex-wrap gap-x-8 gap-y-2">
        <Figure name="on the track">{sayDistance(metres, units)}</Figure>
        {ascent !== null && descent !== null && (
          <Figure name="up, down">
            {sayHeight(ascent, units)}, {sayHeight(descent, units)}
          </Figure>
        )}
        {movingSeconds !== null && <Figure name="moving">{hours(movingSeconds)}</Figure>}
        <Figure name="by Naismith's rule">{hours(naismithSeconds(metres, ascent ?? 0))}</Figure>
        {toblerSeconds !== null && <Figure name="by Tobler's function">{hours(toblerSeconds)}</Figure>}
      </dl>
      {slopes && movingSeconds !== null && movingSeconds > 0 && <Slopes seconds={slopes} />}
    </section>
  );
}

const hours = (seconds: number) =>
  `${Math.floor(seconds / 3600)} h ${String(Math.round((seconds % 3600) / 60)).padStart(2, "0")}`;

/** Time moving, by the slope that it was spent on. */
function Slopes({ seconds }: { seconds: readonly number[] }) {
  const all = seconds.reduce((sum, each) => sum + each, 0);
  if (all === 0) return null;
  const looks = ["bg-stem", "bg-stem-soft", "bg-rule", "bg-catkin-strong", "bg-leaf"];
  return (
    <div className="mt-3 max-w-2xl">
      <div className="flex h-3" aria-hidden="true">
        {seconds.map((each, n) => (
          <span key={n} className={looks[n]} style={{ width: `${(100 * each) / all}%` }} />
        ))}
      </div>
      <p className="hint mt-0.5">
        Time moving:{" "}
        {seconds
          .map((each, n) => [each, `${SLOPE_NAMES[n]} ${percent(each / all)}`] as const)
          .filter(([each]) => each > 0)
          .map(([, words]) => words)
          .join(", ")}
        .
      </p>
    </div>
  );
}

interface ProfileProps {
  readonly track: Track;
  readonly ends: readonly number[];
  readonly happened: readonly Happened[];
  readonly units: Units;
}

function Profile({ track, ends, happened, units }: ProfileProps) {
  const heights = track.points.flatMap((point) => (point[ELE] === null ? [] : [point[ELE]]));
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const inUnits = units.distance === "km" ? 1000 : METRES_PER_MILE;
  const heightUnit = units.distance === "km" ? 1 : METRES_PER_FOOT;
  const x = scaleLinear([0, track.metres / inUnits], [LEFT, WIDE - 8]);
  const flags = happened.map(({ metres, name }) => ({ at: x(metres / inUnits), words: name }));
  const rows = flagRows(flags);
  const wide = Math.max(WIDE, ...flags.map(flagEnd));
  const head = HEAD + ROW * Math.max(0, ...rows);
  const foot = head + HIGH - FOOT;
  const y = scaleLinear([low / heightUnit, Math.max(high, low + 50) / heightUnit], [foot, head + 12]).nice(3);
  const at = (point: Point) => x(point[METRES] / inUnits);
  const shape = area<Point>(at, y.range()[0]!, (point) => y(point[ELE]! / heightUnit))
    .defined((point) => point[ELE] !== null)
    .digits(1)([...track.points]);
  const near = (metres: number) =>
    track.points.findLast((point) => point[METRES] <= metres && point[ELE] !== null)?.[ELE] ?? low;
  return (
    <svg
      viewBox={`0 0 ${wide} ${head + HIGH}`}
      className="w-full min-w-[38rem] text-muted"
      role="img"
      aria-label={`Profile: ${sayDistance(track.metres, units)}, between ${sayHeight(low, units)} and ${sayHeight(high, units)}. ${happened.map(({ name, words }) => `${name}: ${words}`).join("; ")}`}
    >
      {y.ticks(3).map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={WIDE - 8} y1={y(tick)} y2={y(tick)} className="stroke-rule" />
          <text x={LEFT - 5} y={y(tick) + 4} textAnchor="end" fontSize="14" fill="currentColor">
            {tick}
          </text>
        </g>
      ))}
      <path d={shape ?? ""} className="fill-leaf-soft stroke-leaf" strokeWidth="1.5" />
      {ends.slice(1, -1).map((end) => (
        <line
          key={end}
          x1={x(end / inUnits)}
          x2={x(end / inUnits)}
          y1={head + 8}
          y2={foot}
          className="stroke-stem"
          strokeDasharray="2 3"
        />
      ))}
      {x.ticks(8).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={head + HIGH - 6}
          textAnchor="middle"
          fontSize="14"
          fill="currentColor"
        >
          {tick}
        </text>
      ))}
      <text x={0} y={13} fontSize="14" fill="currentColor">
        {units.distance === "km" ? "m over km" : "ft over miles"}
      </text>
      {happened.map((each, n) => (
        <Mark
          key={`${each.name} ${each.metres}`}
          words={each.words}
          x={x(each.metres / inUnits)}
          y={y(near(each.metres) / heightUnit)}
          name={each.name}
          top={head - 3 - ROW * nth(rows, n)}
        />
      ))}
    </svg>
  );
}

interface MarkProps {
  readonly name: string;
  readonly words: string;
  readonly x: number;
  readonly y: number;
  /** Where its name stands. */
  readonly top: number;
}

/** What happened: named above the profile, and led down to its place on it. */
const Mark = ({ name, words, x, y, top }: MarkProps) => (
  <g className="text-sting">
    <title>{`${name}: ${words}`}</title>
    <path d={`M${x} ${top - 9}V${y - 10}`} className="fill-none stroke-sting" />
    <path d={`M${x} ${y - 2}l-5 -9h10z`} fill="currentColor" />
    <text x={x + 4} y={top} fontSize="14" fill="currentColor">
      {name}
    </text>
  </g>
);

const PLAN = { wide: 240, high: 170, edge: 14 } as const;

/** The way from above, north up: no map beneath it, as there is no network. */
function Plan({ track, units }: { track: Track; units: Units }) {
  const narrow = Math.cos(((track.points[0]?.[LAT] ?? 0) * Math.PI) / 180);
  const placed = track.points.map((point) => ({
    x: point[LON] * narrow,
    y: point[LAT],
    anew: point[ANEW] === 1,
  }));
  const [west, east] = [Math.min(...placed.map(({ x }) => x)), Math.max(...placed.map(({ x }) => x))];
  const [south, north] = [Math.min(...placed.map(({ y }) => y)), Math.max(...placed.map(({ y }) => y))];
  const { wide, high, edge } = PLAN;
  const scale = Math.min(
    (wide - 2 * edge) / (east - west || 1e-9),
    (high - 3 * edge) / (north - south || 1e-9),
  );
  const x = (degrees: number) => wide / 2 + (degrees - (west + east) / 2) * scale;
  const y = (degrees: number) => (high - edge) / 2 - (degrees - (south + north) / 2) * scale;
  const draw = line<(typeof placed)[number]>(
    (point) => x(point.x),
    (point) => y(point.y),
  ).digits(1);
  // A stretch for each time that the recorder began anew: a gap is not drawn as a way.
  const starts = placed.flatMap(({ anew }, n) => (anew ? [n] : []));
  const pieces = starts.map((from, n) => placed.slice(from, starts[n + 1] ?? placed.length));
  const metresPerPixel = 111_320 / scale;
  const bar =
    scaleLinear([0, metresPerPixel * 70], [0, 1])
      .ticks(2)
      .at(-1) ?? 0;
  const [first, last] = [nth(placed, 0), lastOf(placed)];
  return (
    <svg
      viewBox={`0 0 ${wide} ${high}`}
      className="w-full max-w-60 text-muted"
      role="img"
      aria-label="Plan of the way, north up"
    >
      {pieces.map((piece, n) => (
        <path key={n} d={draw(piece) ?? ""} className="fill-none stroke-leaf" strokeWidth="1.8" />
      ))}
      <circle cx={x(first.x)} cy={y(first.y)} r="3.5" className="fill-leaf" />
      <circle cx={x(last.x)} cy={y(last.y)} r="3.5" className="fill-paper stroke-leaf" strokeWidth="1.8" />
      <path d={`M${wide - 10} 22v-14l-4 5m4-5l4 5`} className="fill-none stroke-current" />
      <text x={wide - 10} y="34" textAnchor="middle" fontSize="12" fill="currentColor">
        N
      </text>
      {bar > 0 && (
        <>
          <path
            d={`M${edge} ${high - 8}h${bar / metresPerPixel}`}
            className="stroke-current"
            strokeWidth="2"
          />
          <text x={edge + bar / metresPerPixel + 5} y={high - 4} fontSize="12" fill="currentColor">
            {distanceNumber(bar, units)} {units.distance}
          </text>
        </>
      )}
    </svg>
  );
}
