import { readFileSync } from "node:fs";
import geodesic from "geographiclib-geodesic";
import { expect, test } from "vitest";
import { validateXML } from "xmllint-wasm";
import { ASCENT_NOISE_M } from "@/core/track/noise";
import { sumOf } from "@/core/track/sums";
import { joinTracks } from "@/core/track/join";
import { thinned } from "@/core/track/thin";
import { readGpx, writeGpx } from "./gpx";

const file = (inside: string, version = "1.1") =>
  `<?xml version="1.0"?><gpx version="${version}" creator="test" xmlns="http://www.topografix.com/GPX/1/${version.at(-1)}">${inside}</gpx>`;
const point = (lat: number, lon: number, ele?: number, time?: string) =>
  `<trkpt lat="${lat}" lon="${lon}">${ele === undefined ? "" : `<ele>${ele}</ele>`}${time ? `<time>${time}</time>` : ""}</trkpt>`;
const track = (...segments: string[]) =>
  file(`<trk><name>Saltpan</name>${segments.map((inside) => `<trkseg>${inside}</trkseg>`).join("")}</trk>`);
const sums = (text: string) => {
  const read = readGpx(text);
  if (!read.ok) throw new Error(read.why);
  const { name, segments } = read.tracks[0]!;
  return { name, ...sumOf(segments) };
};

// Source: T. Vincenty, Survey Review 23:176 (1975), worked example, 54 972.271 m.
test("distance is along the ellipsoid: the published worked example, to the millimetre", () => {
  const from = -(37 + 57 / 60 + 3.7203 / 3600);
  const to = -(37 + 39 / 60 + 10.1561 / 3600);
  const text = track(point(from, 144 + 25 / 60 + 29.5244 / 3600) + point(to, 143 + 55 / 60 + 35.3839 / 3600));
  expect(sums(text).metres).toBeCloseTo(54_972.271, 3);
});

test("gaps between segments are not walked; several tracks are several legs", () => {
  const one = point(10, 10) + point(10, 10.01);
  const far = point(11, 11) + point(11, 11.01);
  const step = (lat: number) => geodesic.Geodesic.WGS84.Inverse(lat, 10, lat, 10.01).s12!;
  expect(sums(track(one, far)).metres).toBeCloseTo(step(10) + step(11), 6);
  const two = readGpx(file(`<trk><trkseg>${one}</trkseg></trk><trk><trkseg>${far}</trkseg></trk>`));
  expect(two.ok && two.tracks.map(({ name }) => name)).toEqual(["Track 1", "Track 2"]);
});

test("ascent leaves the noise out and counts the climb", () => {
  const heights = [100, 102, 99, 103, 100, 140, 138, 141, 120, 160];
  const { ascent } = sums(track(heights.map((ele, n) => point(10, 10 + n / 1000, ele)).join("")));
  // From 99: up to 140 (41), on to 141 is noise, down to 120, up to 160 (40).
  expect(ASCENT_NOISE_M).toBe(5);
  expect(ascent).toBe(41 + 40);
});

test("a slow steady climb is not lost in the noise", () => {
  expect(
    sums(track(Array.from({ length: 101 }, (_, n) => point(10, 10 + n / 1000, 200 + n)).join(""))).ascent,
  ).toBe(100);
});

test("missing heights and times leave their sums out, and nothing else", () => {
  const bare = sums(track(point(10, 10) + point(10, 10.01)));
  expect(bare).toMatchObject({ ascent: null, movingSeconds: null, starts: null, points: 2 });
});

test("moving time leaves rests out", () => {
  const at = (minute: number) => `2026-05-01T08:${String(minute).padStart(2, "0")}:00Z`;
  const { movingSeconds, starts } = sums(
    track(
      point(10, 10, 1, at(0)) +
        point(10, 10.001, 1, at(2)) +
        point(10, 10.001, 1, at(20)) +
        point(10, 10.002, 1, at(22)),
    ),
  );
  expect(movingSeconds).toBe(240);
  expect(starts).toBe("2026-05-01T08:00:00.000Z");
});

test("reads GPX 1.0, and routes where there are no tracks", () => {
  const route = file(
    `<rte><name>Plan</name><rtept lat="10" lon="10"/><rtept lat="10" lon="10.01"/></rte>`,
    "1.0",
  );
  expect(sums(route)).toMatchObject({ name: "Plan", points: 2 });
});

test.each([
  ["not xml at all", /not sound XML: .* line 1, column 1/],
  ["<gpx><trk><trkseg><trkpt lat='1' lon='2'></trkseg></trk></gpx>", /line 1, column/],
  ["<kml></kml>", /not a GPX/],
  [file("<trk><trkseg></trkseg></trk>"), /no track or route/],
  [track(point(95, 10) + point(10, 10)), /not on Earth/],
  [track(point(Number.NaN, 10) + point(10, 10)), /not on Earth/],
  [`<!DOCTYPE gpx [<!ENTITY a "b">]>${track(point(1, 1) + point(1, 2))}`, /document type/],
  [track(`<trkpt lat="${"4".repeat(1_000_000)}" lon="1"/>`), /a tag longer than any GPX needs/],
  [track(`<trkpt lat="${"4".repeat(15_000)}" lon="1"/>`), /^Saltpan: point 1 is not on Earth/],
  [`<gpx><trk ${Array.from({ length: 200_000 }, (_, n) => `a${n}="1"`).join(" ")}/></gpx>`, /a tag longer/],
  [`<gpx>${"<a>".repeat(20_000)}`, /not sound XML/],
])("refuses %#: %.60s with a reason", (text, why) => {
  const read = readGpx(text);
  expect(!read.ok && read.why).toMatch(why);
  // A sentence, whatever the file had in it.
  expect(!read.ok && read.why.length).toBeLessThan(250);
});

/** The track of a text, as it is kept. */
const kept = (text: string) => {
  const read = readGpx(text);
  const walk = read.ok ? joinTracks(read.tracks) : read;
  if (!walk.ok) throw new Error(walk.why);
  return thinned(walk.value);
};

test("what is written is GPX 1.1 by its schema, and read again it is the same way with its waypoints", async () => {
  const inside = Array.from({ length: 60 }, (_, n) =>
    point(
      10 + n / 900,
      10 + Math.sin(n) / 900,
      n % 9 ? 200 + n : undefined,
      new Date(1_770_000_000_000 + n * 60_000).toISOString(),
    ),
  );
  const first = kept(track(inside.slice(0, 30).join(""), inside.slice(31).join("")));
  const written = writeGpx('Salt & "pan" <loop>', first, [
    { metres: 0, name: "Pad", words: "damaged" },
    { metres: 3000, name: "Shoes & laces", words: "worn out" },
  ]);
  const schema = readFileSync(new URL("./gpx-1.1.xsd", import.meta.url), "utf8");
  const valid = await validateXML({
    xml: [{ fileName: "walk.gpx", contents: written }],
    schema: [{ fileName: "gpx.xsd", contents: schema }],
  });
  expect(valid.errors).toEqual([]);
  expect(written).toContain("<name>Salt &amp; &quot;pan&quot; &lt;loop&gt;</name>");
  const again = kept(written).points;
  expect(again.map(([, ...rest]) => rest)).toEqual(first.points.map(([, ...rest]) => rest));
  // Degrees are kept to about a metre, so the way along them may differ by as much.
  again.forEach(([metres], n) => expect(Math.abs(metres - first.points[n]![0])).toBeLessThanOrEqual(2));
  // The check can fail: a waypoint after the track is against the schema.
  const wrong = written.replace(/<wpt[\s\S]*<\/wpt>/, "").replace("</gpx>", '<wpt lat="1" lon="1"/></gpx>');
  const refused = await validateXML({
    xml: [{ fileName: "walk.gpx", contents: wrong }],
    schema: [{ fileName: "gpx.xsd", contents: schema }],
  });
  expect(refused.valid).toBe(false);
});
