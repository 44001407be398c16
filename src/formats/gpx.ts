import { XMLParser, XMLValidator } from "fast-xml-parser";
import geodesic from "geographiclib-geodesic";

/** Largest track read, in bytes. */
export const GPX_LIMIT = 64 * 1024 * 1024;

/** A rise counts once it is this much, in metres: below it lies the noise of barometers and satellites. */
export const ASCENT_NOISE_M = 5;
/** Slower than this, in m/s, is standing still. */
const MOVING_MS = 0.3;
/** A gap longer than this, in seconds, is a rest, whatever lies between. */
const LONGEST_STEP_S = 300;

interface TrackSum {
  readonly name: string;
  /** Along the WGS84 ellipsoid; gaps between segments are not walked. */
  readonly metres: number;
  /** Null where no point has an elevation. */
  readonly ascent: number | null;
  readonly movingSeconds: number | null;
  readonly starts: string | null;
  readonly ends: string | null;
  readonly points: number;
}

export interface GpxSum {
  readonly name: string;
  readonly tracks: readonly TrackSum[];
}

export type ReadGpx =
  { readonly ok: true; readonly value: GpxSum } | { readonly ok: false; readonly why: string };

interface Point {
  readonly lat: number;
  readonly lon: number;
  readonly ele: number | null;
  readonly time: number | null;
}

type Node = Readonly<Record<string, unknown>>;
const ARRAYS = new Set(["trk", "rte", "trkseg", "trkpt", "rtept"]);

/** The parser alone, as the measure of the rest. No entities are expanded, nothing outside is fetched. */
export function parseXml(text: string): Node {
  return new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: "",
    parseTagValue: false,
    parseAttributeValue: false,
    processEntities: false,
    removeNSPrefix: true,
    isArray: (name) => ARRAYS.has(name),
  }).parse(text) as Node;
}

/** Reads GPX 1.0 or 1.1: tracks, or routes where there are none. Missing elevations and times are left out of their sums. */
export function readGpx(text: string): ReadGpx {
  if (/<!DOCTYPE/i.test(text.slice(0, 2000)))
    return { ok: false, why: "This file has a document type, which no GPX needs. It is not read." };
  const root = textual(() => parseXml(text)).gpx as Node | undefined;
  if (!root || typeof root !== "object")
    return { ok: false, why: whereBroken(text) ?? "This is not a GPX file: it has no <gpx> in it." };
  const tracks = nodes(root.trk).map((track, n) =>
    sum(
      word(track.name) || `Track ${n + 1}`,
      nodes(track.trkseg).map((segment) => nodes(segment.trkpt)),
    ),
  );
  const routes = nodes(root.rte).map((route, n) =>
    sum(word(route.name) || `Route ${n + 1}`, [nodes(route.rtept)]),
  );
  const sums = (tracks.some(isTrack) ? tracks : routes).filter(isTrack);
  const bad = [...tracks, ...routes].find((each): each is string => typeof each === "string");
  if (bad) return { ok: false, why: bad };
  if (sums.length === 0)
    return {
      ok: false,
      why: whereBroken(text) ?? "There is no track or route with two points or more in it.",
    };
  return {
    ok: true,
    value: {
      name: word((root.metadata as Node | undefined)?.name) || word(root.name) || sums[0]!.name,
      tracks: sums,
    },
  };
}

const isTrack = (each: TrackSum | string | null): each is TrackSum =>
  each !== null && typeof each !== "string";
const nodes = (value: unknown): Node[] =>
  Array.isArray(value) ? value.filter((node): node is Node => typeof node === "object" && node !== null) : [];
const word = (value: unknown): string => (typeof value === "string" ? value.trim().slice(0, 120) : "");

function textual(parse: () => Node): Node {
  try {
    return parse();
  } catch {
    return {};
  }
}

function whereBroken(text: string): string | null {
  const sound = XMLValidator.validate(text);
  return sound === true
    ? null
    : `This is not sound XML: ${sound.err.msg} At line ${sound.err.line}, column ${sound.err.col}.`;
}

/** The sums of a track; null for fewer than two points, a sentence where a point can't be on Earth. */
function sum(name: string, segments: readonly (readonly Node[])[]): TrackSum | string | null {
  let metres = 0;
  let climbed = 0;
  let moving = 0;
  let points = 0;
  let hasHeights = false;
  let first: number | null = null;
  let last: number | null = null;
  for (const segment of segments) {
    let before: Point | null = null;
    // The height that a rise is counted from: the lowest since the last rise that counted.
    let floor: number | null = null;
    for (const node of segment) {
      const point = toPoint(node);
      if (!point)
        return `${name}: point ${points + 1} is not on Earth (latitude ${String(node.lat)}, longitude ${String(node.lon)}).`;
      points++;
      if (point.time !== null) {
        first ??= point.time;
        last = point.time;
      }
      if (point.ele !== null) {
        hasHeights = true;
        if (floor === null || point.ele < floor) floor = point.ele;
        else if (point.ele - floor >= ASCENT_NOISE_M) {
          climbed += point.ele - floor;
          floor = point.ele;
        }
      }
      if (before) {
        const step =
          geodesic.Geodesic.WGS84.Inverse(
            before.lat,
            before.lon,
            point.lat,
            point.lon,
            geodesic.Geodesic.DISTANCE,
          ).s12 ?? 0;
        metres += step;
        const seconds = point.time !== null && before.time !== null ? (point.time - before.time) / 1000 : 0;
        if (seconds > 0 && seconds <= LONGEST_STEP_S && step / seconds >= MOVING_MS) moving += seconds;
      }
      before = point;
    }
  }
  if (points < 2) return null;
  const day = (time: number | null) => (time === null ? null : new Date(time).toISOString());
  return {
    name,
    metres,
    ascent: hasHeights ? climbed : null,
    movingSeconds: first === null ? null : moving,
    starts: day(first),
    ends: day(last),
    points,
  };
}

function toPoint(node: Node): Point | null {
  const lat = Number(node.lat ?? Number.NaN);
  const lon = Number(node.lon ?? Number.NaN);
  if (!(Math.abs(lat) <= 90 && Math.abs(lon) <= 180)) return null;
  const ele = typeof node.ele === "string" && node.ele.trim() !== "" ? Number(node.ele) : Number.NaN;
  const time = typeof node.time === "string" ? Date.parse(node.time) : Number.NaN;
  return { lat, lon, ele: Number.isFinite(ele) ? ele : null, time: Number.isFinite(time) ? time : null };
}
