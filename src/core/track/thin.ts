import { nth } from "../sums/there";
import simplify from "simplify-js";
import type { Track } from "../model";
import type { Joined } from "./join";
import { metresBetween, type TrackPoint } from "./sums";

/** Points kept of a track: more can't be seen on a drawing, and each costs room in the log. */
export const MOST_POINTS = 1000;

interface Placed {
  readonly x: number;
  readonly y: number;
  readonly n: number;
}

const RADIUS = 6_371_000;

/** A walk as it is kept: its sums, and the points that its plan and its profile need. */
export function thinned({ segments, whole, clock }: Joined): Omit<Track, "trip"> {
  const points: (TrackPoint & { metres: number; starts: boolean })[] = [];
  let metres = 0;
  for (const segment of segments)
    segment.forEach((point, n) => {
      if (n > 0) metres += metresBetween(nth(segment, n - 1), point);
      points.push({ ...point, metres, starts: n === 0 });
    });
  const narrow = Math.cos(((points[0]?.lat ?? 0) * Math.PI) / 180);
  const plan = points.map(({ lat, lon }, n): Placed => ({
    x: ((lon * Math.PI) / 180) * RADIUS * narrow,
    y: ((lat * Math.PI) / 180) * RADIUS,
    n,
  }));
  // On the profile a metre up is seen as well as thirty along: it is drawn that much steeper than it is.
  const profile = points.flatMap(({ ele, metres: at }, n): Placed[] =>
    ele === null ? [] : [{ x: at / 30, y: ele, n }],
  );
  const must = points.flatMap(({ starts }, n) => (starts ? [n, Math.max(0, n - 1)] : []));
  const kept = new Set([...must, points.length - 1, ...few(plan, 5), ...few(profile, 1)]);
  return {
    clock,
    metres: whole.metres,
    ascent: whole.ascent,
    descent: whole.descent,
    movingSeconds: whole.movingSeconds,
    slopes: whole.slopes && [...whole.slopes],
    toblerSeconds: whole.toblerSeconds,
    starts: whole.starts,
    ends: whole.ends,
    points: [...kept]
      .filter((n) => n >= 0)
      .sort((a, b) => a - b)
      .map((n): Track["points"][number] => {
        const { lat, lon, ele, time, metres: at, starts } = nth(points, n);
        return [
          Math.round(at),
          round(lat, 5),
          round(lon, 5),
          ele === null ? null : Math.round(ele),
          time === null ? null : Math.round(time / 1000),
          starts ? 1 : 0,
        ];
      }),
  };
}

/** The numbers of the points that a line needs within a tolerance in metres, doubled until they are few enough. */
function few(line: readonly Placed[], tolerance: number): number[] {
  if (line.length <= MOST_POINTS / 2) return line.map(({ n }) => n);
  const kept = piecesOf(line).flatMap((piece, at) => simplified(piece, tolerance).slice(at === 0 ? 0 : 1));
  return kept.length > MOST_POINTS / 2
    ? few(kept, tolerance * 2)
    : simplified(kept, tolerance).map(({ n }) => n);
}

/** The package hands back the very points that it was given. */
const simplified = (line: readonly Placed[], tolerance: number) =>
  simplify([...line], tolerance, true) as Placed[];

/**
 * The package calls itself once for each point in the worst of lines, a saw: of so many it never runs out of
 * room to.
 */
const PIECE = 1000;

/** A line in pieces, each beginning with the last point of the one before it. */
const piecesOf = (line: readonly Placed[]): (readonly Placed[])[] =>
  Array.from({ length: Math.ceil((line.length - 1) / PIECE) }, (_, n) =>
    line.slice(n * PIECE, (n + 1) * PIECE + 1),
  );

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;
