import geodesic from "geographiclib-geodesic";
import { ASCENT_NOISE_M } from "./noise";

/**
 * A place on a track: degrees, metres above the sea, milliseconds since 1970 UTC; null where the recorder did
 * not say.
 */
export interface TrackPoint {
  readonly lat: number;
  readonly lon: number;
  readonly ele: number | null;
  readonly time: number | null;
}

/** Of a step longer than {@link LONGEST_STEP_S}, from so many metres on it is a gap; what is shorter is a rest. */
const GAP_STEP_M = 300;
/** Without times, a step of so many metres: points of a way that was drawn may lie far apart. */
const GAP_UNTIMED_M = 2000;

/** Slower than this, in m/s, is standing still. */
const MOVING_MS = 0.3;
/** A gap longer than this, in seconds, is a rest, whatever lies between. */
const LONGEST_STEP_S = 300;
/** Slopes are taken over this much of the way, in metres: from point to point they are mostly noise. */
const SLOPE_OVER_M = 50;

/**
 * Bounds between the sorts of slope, rise over run: steep down, down, about level, up, steep up. Common
 * practice, no source.
 */
const SLOPE_BOUNDS = [-0.15, -0.05, 0.05, 0.15] as const;
export const SLOPE_NAMES = ["steep down", "down", "about level", "up", "steep up"] as const;

/** What a stretch of track comes to. */
export interface TrackSum {
  /** Along the WGS84 ellipsoid; gaps between segments are not walked. */
  readonly metres: number;
  /** Null where no point has an elevation. */
  readonly ascent: number | null;
  readonly descent: number | null;
  /** Null where no point has a time. */
  readonly movingSeconds: number | null;
  /** Seconds moving on each sort of slope; null without heights or times. */
  readonly slopes: readonly number[] | null;
  /** By Tobler's function, over every {@link SLOPE_OVER_M}; null without heights. */
  readonly toblerSeconds: number | null;
  /** ISO times, UTC. */
  readonly starts: string | null;
  readonly ends: string | null;
  readonly points: number;
  /** Of the metres and the time, what lies in gaps: steps so long that nobody knows the way between. */
  readonly gaps: { readonly count: number; readonly metres: number; readonly seconds: number };
}

/** Each point's last step: a walk is summed as a whole, by track and by day, and the geodesic is most of the work. */
const STEPS = new WeakMap<TrackPoint, { readonly from: TrackPoint; readonly metres: number }>();

/** Along the WGS84 ellipsoid. */
export function metresBetween(from: TrackPoint, to: TrackPoint): number {
  const known = STEPS.get(to);
  if (known?.from === from) return known.metres;
  const { Geodesic } = geodesic;
  const metres = Geodesic.WGS84.Inverse(from.lat, from.lon, to.lat, to.lon, Geodesic.DISTANCE).s12 ?? 0;
  STEPS.set(to, { from, metres });
  return metres;
}

/**
 * Walking speed on a slope, in m/s: 6·e^(−3.5·|slope + 0.05|) km/h.
 *
 * Source: W. Tobler, Three Presentations on Geographical Analysis and Modeling, NCGIA Technical Report 93-1 (1993).
 *
 * @param slope rise over run
 * @example toblerSpeed(-0.05) * 3.6 // 6
 */
export const toblerSpeed = (slope: number): number => (6 / 3.6) * Math.exp(-3.5 * Math.abs(slope + 0.05));

/**
 * Walking time by Naismith's rule, in seconds: an hour for each three miles, and an hour for each 2000 feet climbed.
 *
 * Source: W. W. Naismith, Scottish Mountaineering Club Journal 2:136 (1892).
 *
 * @example naismithSeconds(4828.032, 609.6) / 3600 // 2
 */
export const naismithSeconds = (metres: number, ascent: number): number =>
  3600 * (metres / (3 * 1609.344) + ascent / (2000 * 0.3048));

/** Rises or falls that are more than noise: counted from the last turn that counted. */
function climb(turn: 1 | -1) {
  let from: number | null = null;
  let sum = 0;
  return {
    see(ele: number) {
      if (from === null || turn * (ele - from) < 0) from = ele;
      else if (turn * (ele - from) >= ASCENT_NOISE_M) {
        sum += turn * (ele - from);
        from = ele;
      }
    },
    /** What lies between two segments is not climbed. */
    rest: () => {
      from = null;
    },
    sum: () => sum,
  };
}

/** The sums of a track in its segments. */
export function sumOf(segments: readonly (readonly TrackPoint[])[]): TrackSum {
  let metres = 0;
  let moving = 0;
  let tobler = 0;
  const gaps = { count: 0, metres: 0, seconds: 0 };
  const slopes = SLOPE_NAMES.map(() => 0);
  const [up, down] = [climb(1), climb(-1)];
  const timed = segments.flat().filter(({ time }) => time !== null);
  const hasHeights = segments.some((segment) => segment.some(({ ele }) => ele !== null));
  for (const segment of segments) {
    up.rest();
    down.rest();
    // The piece that the next slope is taken over.
    let piece = { ele: segment[0]?.ele ?? null, metres: 0, moving: 0 };
    segment.forEach((point, n) => {
      if (point.ele !== null) {
        up.see(point.ele);
        down.see(point.ele);
      }
      const before = segment[n - 1];
      if (!before) return;
      const step = metresBetween(before, point);
      metres += step;
      const seconds = point.time !== null && before.time !== null ? (point.time - before.time) / 1000 : 0;
      const walked = seconds > 0 && seconds <= LONGEST_STEP_S && step / seconds >= MOVING_MS ? seconds : 0;
      moving += walked;
      if (seconds > 0 ? seconds > LONGEST_STEP_S && step > GAP_STEP_M : step > GAP_UNTIMED_M) {
        gaps.count += 1;
        gaps.metres += step;
        gaps.seconds += seconds;
      }
      piece.metres += step;
      piece.moving += walked;
      const isLast = n === segment.length - 1;
      if (point.ele === null || piece.ele === null || (piece.metres < SLOPE_OVER_M && !isLast)) return;
      const slope = piece.metres > 0 ? (point.ele - piece.ele) / piece.metres : 0;
      const sort = SLOPE_BOUNDS.findIndex((bound) => slope < bound);
      slopes[sort < 0 ? SLOPE_BOUNDS.length : sort]! += piece.moving;
      tobler += piece.metres / toblerSpeed(slope);
      piece = { ele: point.ele, metres: 0, moving: 0 };
    });
  }
  const at = (point: TrackPoint | undefined) => (point ? new Date(point.time!).toISOString() : null);
  return {
    metres,
    ascent: hasHeights ? up.sum() : null,
    descent: hasHeights ? down.sum() : null,
    movingSeconds: timed.length > 0 ? moving : null,
    slopes: hasHeights && timed.length > 0 ? slopes : null,
    toblerSeconds: hasHeights ? tobler : null,
    starts: at(timed[0]),
    ends: at(timed.at(-1)),
    gaps,
    points: segments.reduce((sum, segment) => sum + segment.length, 0),
  };
}
