import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { joinTracks, type ReadTrack } from "./join";
import { MOST_POINTS, thinned } from "./thin";
import { metresBetween, naismithSeconds, sumOf, toblerSpeed, type TrackPoint } from "./sums";

const at = (iso: string) => Date.parse(iso);
/** About 111.3 m a point eastward along the equator. */
const DEGREE = 111_319.49;
const track = (file: string, points: readonly Partial<TrackPoint>[]): ReadTrack => ({
  file,
  name: file.replace(".gpx", ""),
  segments: [points.map((point, n) => ({ lat: 0, lon: n / 1000, ele: null, time: null, ...point }))],
});
const joined = (...tracks: readonly ReadTrack[]) => {
  const read = joinTracks(tracks);
  if (!read.ok) throw new Error(read.why);
  return read.value;
};
const why = (...tracks: readonly ReadTrack[]) => {
  const read = joinTracks(tracks);
  return read.ok ? null : read.why;
};

describe("times by the rules of thumb", () => {
  // Source: W. W. Naismith (1892): an hour for every three miles on the map, and an hour more for every 2000
  // feet of ascent.
  test("Naismith: ten miles and 2000 feet take 4 h 20", () =>
    expect(naismithSeconds(10 * 1609.344, 2000 * 0.3048) / 60).toBeCloseTo(260, 9));

  // Source: W. Tobler (1993), 6 exp(−3.5 |S + 0.05|): 6 km/h at a 5 % descent, 5.04 on the level; the rest
  // worked by hand.
  test.each([
    [-0.05, 6],
    [0, 5.036742],
    [0.1, 3.549331],
    [-0.25, 2.979512],
  ])("Tobler on a slope of %d: %d km/h", (slope, speed) =>
    expect(toblerSpeed(slope) * 3.6).toBeCloseTo(speed, 5),
  );

  test("over a track: level ground at Tobler's level speed, each slope's time in its own sort", () => {
    const rise = [0, 0, 0, 0, 20, 40, 60, 60, 60];
    const sum = sumOf([
      rise.map((ele, n) => ({ lat: 0, lon: n / 1000, ele, time: at("2026-05-01T08:00:00Z") + n * 100_000 })),
    ]);
    expect(sum.metres).toBeCloseTo(8 * (DEGREE / 1000), 1);
    expect(sum).toMatchObject({ ascent: 60, descent: 0, movingSeconds: 800 });
    // Three of the eight pieces rise 18 %: steep.
    expect(sum.slopes).toEqual([0, 0, 500, 0, 300]);
    const [level, steep] = [toblerSpeed(0), toblerSpeed(20 / (DEGREE / 1000))];
    expect(sum.toblerSeconds).toBeCloseTo((5 * (DEGREE / 1000)) / level + (3 * (DEGREE / 1000)) / steep, 1);
  });
});

describe("several tracks as one walk", () => {
  const day = (file: string, from: string, lon: number, points = 5) =>
    track(
      file,
      Array.from({ length: points }, (_, n) => ({
        lon: lon + n / 1000,
        ele: 10,
        time: at(from) + n * 60_000,
      })),
    );

  test("in the order of their times, whatever the order of the files", () => {
    const walk = joined(
      day("second.gpx", "2026-05-02T08:00:00Z", 0.004),
      day("first.gpx", "2026-05-01T08:00:00Z", 0),
    );
    expect(walk.byTrack.map(({ name }) => name)).toEqual(["first", "second"]);
    expect(walk.notes).toEqual([]);
    expect(walk.byDay.map(({ on }) => on)).toEqual(["2026-05-01", "2026-05-02"]);
    expect(walk.whole.metres).toBeCloseTo((8 * DEGREE) / 1000, 1);
  });

  test("what two files tell of the same time is counted once, and said", () => {
    const walk = joined(
      day("a.gpx", "2026-05-01T08:00:00Z", 0, 10),
      day("b.gpx", "2026-05-01T08:05:00Z", 0.005, 10),
    );
    expect(walk.notes).toEqual(
      ["b.gpx (b) tells again of a time that another track told already: 5 points of it left out."].map(
        (note) => note.replace("5 points", "5\u00a0points"),
      ),
    );
    expect(walk.whole.metres).toBeCloseTo(9 * (DEGREE / 1000) + 4 * (DEGREE / 1000), 1);
  });

  test("a gap is told and not walked; missing heights are counted", () => {
    const walk = joined(
      day("a.gpx", "2026-05-01T08:00:00Z", 0),
      track("b.gpx", [
        { lon: 1, time: at("2026-05-02T08:00:00Z") },
        { lon: 1.001, time: at("2026-05-02T08:10:00Z"), ele: 4 },
      ]),
    );
    expect(walk.notes[0]).toMatch(
      /^110\.9 km lie between a\.gpx \(a\) and b\.gpx \(b\): they are not counted\.$/,
    );
    expect(walk.notes[1]).toMatch(/^1.point of 7 have no height/);
    expect(walk.whole.metres).toBeCloseTo(5 * (DEGREE / 1000), 1);
  });

  // 0.027° of a great circle at the equator are 3.0 km.
  test("a gap inside a track is told apart: three kilometres and three quarters of an hour; a rest is none", () => {
    const start = at("2026-05-01T08:00:00Z");
    const minute = 60_000;
    const walk = joined(
      track("gap.gpx", [
        { lon: 0, time: start },
        { lon: 0.001, time: start + minute },
        { lon: 0.028, time: start + 46 * minute },
        { lon: 0.029, time: start + 47 * minute },
        // Lunch, and a step back to the pack.
        { lon: 0.0292, time: start + 80 * minute },
        { lon: 0.0302, time: start + 81 * minute },
      ]),
    );
    expect(walk.whole.gaps.count).toBe(1);
    expect(walk.whole.gaps.metres).toBeCloseTo(27 * (DEGREE / 1000), 0);
    expect(walk.whole.gaps.seconds).toBe(45 * 60);
    expect(walk.notes.find((note) => note.includes("gap"))).toMatch(
      /^gap\.gpx \(gap\) has 1.gap: 3\.0 km and 45.minutes of it nobody recorded\./,
    );
  });

  test("a track that runs backwards, and one that jumps, are refused with what is wrong", () => {
    expect(
      why(track("back.gpx", [{ time: at("2026-05-02T08:00:00Z") }, { time: at("2026-05-01T08:00:00Z") }])),
    ).toBe("back.gpx (back) ends (1 May 2026, 08:00 UTC) before it starts (2 May 2026, 08:00 UTC).");
    expect(
      why(
        track("jump.gpx", [
          { time: at("2026-05-01T08:00:00Z") },
          { lon: 2.7, time: at("2026-05-01T08:01:00Z") },
        ]),
      ),
    ).toMatch(/^jump\.gpx \(jump\): point 2 lies 301 km from the one before it, 60.seconds later\./);
    // A boat or a bus is no jump.
    expect(why(track("bus.gpx", [{ time: 0 }, { lon: 0.3, time: 1_800_000 }]))).toBeNull();
  });

  test("days turn by the walker's own clock, not by UTC", () => {
    // At 150° east the sun's clock is ten hours ahead: 13:00 to 15:00 UTC is 23:00 to 01:00.
    const points = Array.from({ length: 5 }, (_, n) => ({
      lon: 150 + n / 1000,
      time: at("2026-05-01T13:00:00Z") + n * 1_800_000,
    }));
    const walk = joined(track("night.gpx", points));
    expect(walk.clock).toBe(10);
    expect(walk.byDay.map(({ on, sum }) => [on, sum.points])).toEqual([
      ["2026-05-01", 2],
      ["2026-05-02", 4],
    ]);
    // The step over midnight belongs to the new day: none is lost between the two.
    expect(walk.byDay.reduce((sum, part) => sum + part.sum.metres, 0)).toBeCloseTo(walk.whole.metres, 6);
  });
});

test("thinned, a bend of seven metres is kept and one of three is not, east or north, far from the equator too", () => {
  // 1° of latitude is 111.2 km on a sphere of 6371 km; of longitude at 60° half of that.
  const [NORTH, EAST] = [1 / 111_195, 1 / 55_597];
  const straight = (bend: (n: number) => number, along: "north" | "east") =>
    Array.from({ length: 3000 }, (_, n) => ({
      lat: 60 + (along === "north" ? n * 10 : bend(n)) * NORTH,
      lon: 20 + (along === "east" ? n * 10 : bend(n)) * EAST,
      ele: null,
      time: null,
    }));
  for (const along of ["north", "east"] as const) {
    const bends = (metres: number) =>
      thinned(
        joined(
          track(
            "x.gpx",
            straight((n) => (n % 300 === 150 ? metres : 0), along),
          ),
        ),
      ).points.length;
    // Its ends and the ten bends, with the points beside them.
    expect(bends(7)).toBeGreaterThanOrEqual(12);
    expect(bends(3)).toBe(2);
  }
});

test("thinned, the worst of lines is no trouble: a saw whose every tooth is lower than the one before it", () => {
  const points = Array.from({ length: 60_000 }, (_, n) => ({
    lat: 10,
    lon: 20 + n / 40_000,
    ele: n % 2 ? (60_000 - n) / 20 : 0,
    time: null,
  }));
  const kept = thinned(joined(track("x.gpx", points)));
  expect(kept.points.length).toBeLessThanOrEqual(MOST_POINTS + 2);
});

test("thinned, a long track keeps its length, its ends and its line; its kept points are few and in order", () =>
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 6000 }), fc.integer({ min: 1, max: 50 }), (many, waves) => {
      const points = Array.from({ length: many }, (_, n) => ({
        lat: 10 + Math.sin((n / many) * waves) * 0.2,
        lon: 20 + n / 10_000,
        ele: 500 + 300 * Math.sin((n / many) * waves * 2),
        time: n * 900_000,
      }));
      const walk = joined(track("x.gpx", points));
      const kept = thinned(walk);
      expect(kept.points.length).toBeLessThanOrEqual(MOST_POINTS + 2);
      expect(kept.metres).toBe(walk.whole.metres);
      expect(kept.points[0]!.slice(0, 2)).toEqual([0, Math.round(points[0]!.lat * 1e5) / 1e5]);
      expect(Math.abs(kept.points.at(-1)![0] - walk.whole.metres)).toBeLessThanOrEqual(1);
      kept.points.forEach(([metres], n) =>
        expect(metres).toBeGreaterThanOrEqual(kept.points[n - 1]?.[0] ?? 0),
      );
      // Drawn from what is kept, the way is hardly shorter than it was walked.
      const drawn = kept.points.reduce((sum, [, lat, lon], n) => {
        const before = kept.points[n - 1];
        return before
          ? sum +
              metresBetween(
                { lat, lon, ele: null, time: null },
                { lat: before[1], lon: before[2], ele: null, time: null },
              )
          : sum;
      }, 0);
      expect(drawn).toBeGreaterThan(walk.whole.metres * 0.97 - 5);
    }),
    { numRuns: 30 },
  ));
