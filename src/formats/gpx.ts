import { XMLBuilder, XMLParser, XMLValidator } from "fast-xml-parser";
import type { Track } from "@/core/model";
import { cutTo } from "@/core/model/slug";
import { withoutStrays } from "@/core/units/strays";
import type { ReadTrack } from "@/core/track/join";
import type { TrackPoint } from "@/core/track/sums";
import { nth } from "@/core/sums/there";

export type ReadGpx =
  | { readonly ok: true; readonly name: string; readonly tracks: readonly ReadTrack[] }
  | { readonly ok: false; readonly why: string };

/** A tag with more in it than any point, track or file has. */
const LONG_TAG = /<[A-Za-z][^<>]{20000}/;

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

/**
 * Reads GPX 1.0 or 1.1: tracks, or routes where there are none. Missing elevations and times stay unknown.
 *
 * @param file its name, for what is said of it
 */
export function readGpx(text: string, file = "the file"): ReadGpx {
  if (/<!DOCTYPE/i.test(text.slice(0, 2000)))
    return { ok: false, why: "This file has a document type, which no GPX needs. It is not read." };
  if (LONG_TAG.test(text))
    return { ok: false, why: "This is not a GPX file: it has a tag longer than any GPX needs." };
  const root = textual(() => parseXml(text)).gpx;
  if (!isNode(root))
    return { ok: false, why: whereBroken(text) ?? "This is not a GPX file: it has no <gpx> in it." };
  const read = (node: Node, segments: readonly (readonly Node[])[], fallback: string) =>
    toTrack(file, word(node.name) || fallback, segments);
  const tracks = nodes(root.trk).map((track, n) =>
    read(
      track,
      nodes(track.trkseg).map((segment) => nodes(segment.trkpt)),
      `Track ${n + 1}`,
    ),
  );
  const routes = nodes(root.rte).map((route, n) => read(route, [nodes(route.rtept)], `Route ${n + 1}`));
  const bad = [...tracks, ...routes].find((each): each is string => typeof each === "string");
  if (bad) return { ok: false, why: bad };
  const walked = (tracks.some(isTrack) ? tracks : routes).filter(isTrack);
  if (walked.length === 0)
    return {
      ok: false,
      why: whereBroken(text) ?? "There is no track or route with two points or more in it.",
    };
  return {
    ok: true,
    name: (isNode(root.metadata) && word(root.metadata.name)) || word(root.name) || nth(walked, 0).name,
    tracks: walked,
  };
}

const isNode = (value: unknown): value is Node => typeof value === "object" && value !== null;

const isTrack = (each: ReadTrack | string | null): each is ReadTrack =>
  each !== null && typeof each !== "string";
const nodes = (value: unknown): Node[] =>
  Array.isArray(value) ? value.filter((node): node is Node => typeof node === "object" && node !== null) : [];
const word = (value: unknown): string =>
  typeof value === "string" ? cutTo(120, withoutStrays(value).trim()) : "";

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
    : `This is not sound XML: ${cutTo(120, sound.err.msg)} At line ${sound.err.line}, column ${sound.err.col}.`;
}

/** A track of two points at least; null for fewer, a sentence where a point can't be on Earth. */
function toTrack(
  file: string,
  name: string,
  segments: readonly (readonly Node[])[],
): ReadTrack | string | null {
  let n = 0;
  const read: TrackPoint[][] = [];
  for (const segment of segments) {
    const points: TrackPoint[] = [];
    for (const node of segment) {
      const point = toPoint(node);
      if (!point)
        return (
          `${name}: point ${n + 1} is not on Earth (latitude ${cutTo(40, String(node.lat))}, ` +
          `longitude ${cutTo(40, String(node.lon))}).`
        );
      n++;
      points.push(point);
    }
    if (points.length > 0) read.push(points);
  }
  return n < 2 ? null : { file, name, segments: read };
}

function toPoint(node: Node): TrackPoint | null {
  const lat = Number(node.lat ?? Number.NaN);
  const lon = Number(node.lon ?? Number.NaN);
  if (!(Math.abs(lat) <= 90 && Math.abs(lon) <= 180)) return null;
  const ele = typeof node.ele === "string" && node.ele.trim() !== "" ? Number(node.ele) : Number.NaN;
  const time = typeof node.time === "string" ? Date.parse(node.time) : Number.NaN;
  return { lat, lon, ele: Number.isFinite(ele) ? ele : null, time: Number.isFinite(time) ? time : null };
}

/** A place on the way with what happened there. */
interface Waypoint {
  readonly metres: number;
  readonly name: string;
  readonly words: string;
}

/** Writes a track as GPX 1.1, its waypoints before it, as the schema has them. */
export function writeGpx(name: string, track: Omit<Track, "trip">, waypoints: readonly Waypoint[]): string {
  const where = ([, lat, lon, ele, seconds]: Track["points"][number]) => ({
    lat: String(lat),
    lon: String(lon),
    ...(ele === null ? {} : { ele: String(ele) }),
    ...(seconds === null ? {} : { time: new Date(seconds * 1000).toISOString() }),
  });
  const near = (metres: number) =>
    track.points.findLast(([along]) => along <= metres) ?? nth(track.points, 0);
  const starts = track.points.flatMap(([, , , , , anew], n) => (anew === 1 ? [n] : []));
  const segments = starts.map((from, n) => track.points.slice(from, starts[n + 1] ?? track.points.length));
  return new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: "",
    attributesGroupName: "$",
    format: true,
    indentBy: " ",
    suppressEmptyNode: true,
  }).build({
    "?xml": { $: { version: "1.0", encoding: "UTF-8" } },
    gpx: {
      $: { version: "1.1", creator: "Nettle Tally", xmlns: "http://www.topografix.com/GPX/1/1" },
      metadata: { name },
      wpt: waypoints.map(({ metres, name: what, words }) => {
        const { lat, lon, ...rest } = where(near(metres));
        return { $: { lat, lon }, ...rest, name: what, desc: words };
      }),
      trk: {
        name,
        trkseg: segments.map((segment) => ({
          trkpt: segment.map((point) => {
            const { lat, lon, ...rest } = where(point);
            return { $: { lat, lon }, ...rest };
          }),
        })),
      },
    },
  });
}
