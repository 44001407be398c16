import { describe, expect, test } from "vitest";
import { seeded } from "../../../tests/seeded";
import type { ItemId, Job } from "../model";
import { bestWithin, type Choosable, type Within } from "./best";

const thing = (
  id: string,
  more: Partial<Omit<Choosable, "id" | "needs">> & { needs?: readonly string[] } = {},
): Choosable => ({
  grams: 100,
  litres: 0,
  worth: 100,
  jobs: [],
  goes: false,
  ...more,
  id: id as ItemId,
  needs: (more.needs ?? []) as ItemId[],
});
const ONLY_WEIGHT = (grams: number): Within => ({ grams, litres: null });

describe("worked by hand", () => {
  test("of a heavy one of much worth and two light ones of more together, the two", () => {
    const best = bestWithin(
      [
        thing("a", { grams: 500, worth: 600 }),
        thing("b", { grams: 250, worth: 350 }),
        thing("c", { grams: 250, worth: 300 }),
      ],
      ONLY_WEIGHT(500),
    );
    expect(best).toMatchObject({ fits: true, taken: ["b", "c"], grams: 500, worth: 650, proved: true });
  });

  test("a critical job is done, though others are worth more for their weight; what leans on a thing brings it along", () => {
    const things = [
      thing("tent", { grams: 900, worth: 10, jobs: ["shelter"] }),
      thing("chair", { grams: 800, worth: 900, needs: ["legs"] }),
      thing("legs", { grams: 150, worth: 0 }),
    ];
    expect(bestWithin(things, ONLY_WEIGHT(1000))).toMatchObject({ taken: ["tent"] });
    expect(bestWithin(things, ONLY_WEIGHT(1849))).toMatchObject({ grams: 900 });
    expect(bestWithin(things, ONLY_WEIGHT(1850))).toMatchObject({ taken: ["tent", "chair", "legs"] });
  });

  test("what must go goes, however little it is worth for its weight", () => {
    const things = [
      thing("liner", { grams: 300, worth: 1, goes: true }),
      thing("book", { grams: 300, worth: 500 }),
    ];
    expect(bestWithin(things, ONLY_WEIGHT(300))).toMatchObject({ taken: ["liner"] });
    expect(bestWithin(things, ONLY_WEIGHT(299))).toMatchObject({ fits: false, least: 300 });
  });

  test("the room in the pack counts too", () => {
    const things = [thing("big", { litres: 9, worth: 500 }), thing("small", { litres: 3, worth: 400 })];
    expect(bestWithin(things, { grams: 1000, litres: 10 })).toMatchObject({ taken: ["big"] });
    expect(bestWithin(things, { grams: 1000, litres: 12 })).toMatchObject({ taken: ["big", "small"] });
  });

  test("where nothing fits: which jobs don't, and the least weight that would do them all", () => {
    const things = [
      thing("tent", { grams: 900, jobs: ["shelter"] }),
      thing("quilt", { grams: 600, jobs: ["sleep warm"] }),
      thing("bag", { grams: 1100, jobs: ["sleep warm"] }),
      thing("light", { grams: 50, jobs: ["light"] }),
    ];
    expect(bestWithin(things, ONLY_WEIGHT(700))).toEqual({ fits: false, jobs: ["shelter"], least: 1550 });
    expect(bestWithin([thing("tent", { litres: 9, jobs: ["shelter"] })], { grams: 5000, litres: 5 })).toEqual(
      {
        fits: false,
        jobs: ["shelter"],
        least: null,
      },
    );
  });
});

/** Every list there is, tried one by one. */
function byForce(things: readonly Choosable[], within: Within): number | null {
  const jobs = [...new Set(things.flatMap((each) => each.jobs))];
  let best: number | null = null;
  for (let set = 0; set < 2 ** things.length; set++) {
    const taken = things.filter((_, n) => set & (1 << n));
    const ids = new Set(taken.map(({ id }) => id));
    const sum = (of: (each: Choosable) => number) => taken.reduce((all, each) => all + of(each), 0);
    if (sum(({ grams }) => grams) > within.grams) continue;
    if (within.litres !== null && sum(({ litres }) => Math.round(litres * 1000)) > within.litres * 1000)
      continue;
    if (!jobs.every((job) => taken.some((each) => each.jobs.includes(job)))) continue;
    if (!taken.every(({ needs }) => needs.every((need) => ids.has(need)))) continue;
    const worth = sum((each) => each.worth);
    if (best === null || worth > best) best = worth;
  }
  return best;
}

test("as good as trying every list, on four hundred random small packs", () => {
  const random = seeded(17);
  const JOBS: readonly Job[] = ["shelter", "sleep warm", "light", "treat water"];
  let fitting = 0;
  for (let round = 0; round < 400; round++) {
    const many = 4 + Math.floor(random() * 7);
    const things = Array.from({ length: many }, (_, n) =>
      thing(`x${n}`, {
        grams: 20 + Math.round(random() * 900),
        litres: Math.round(random() * 60) / 10,
        worth: Math.round(random() * 1000),
        jobs: JOBS.filter(() => random() < 0.2),
        needs: random() < 0.25 && n > 0 ? [`x${Math.floor(random() * n)}`] : [],
      }),
    );
    const within = {
      grams: Math.round(random() * things.reduce((sum, { grams }) => sum + grams, 0)),
      litres: random() < 0.5 ? null : Math.round(random() * 30),
    };
    const forced = byForce(things, within);
    const best = bestWithin(things, within);
    expect(best.fits ? best.worth : null, `round ${round}`).toBe(forced);
    if (forced !== null) fitting++;
  }
  // Neither nearly all nor nearly none of them fit: both answers were tried.
  expect(fitting).toBeGreaterThan(100);
  expect(fitting).toBeLessThan(370);
});
