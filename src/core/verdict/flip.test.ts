import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import type { Verb } from "../model";
import { survey } from "./case";
import { nearestFlip, sayFlip } from "./flip";
import { judge, judgeAll } from "./judge";
import { whatIf } from "./what-if";

const TODAY = "2026-11-24";
const chair = (uses: readonly string[], more: object = {}) => ({
  items: [{ id: "chair", name: "Chair", kind: "chair", weight: "480 g" }],
  trips: uses.map((use, at) => ({
    id: `t${at}`,
    starts: `2026-0${1 + at}-10`,
    ends: `2026-0${1 + at}-13`,
    distance: "50 km",
    marks: [{ item: "chair", use, ...more }],
  })),
});
const ask = (file: object) => {
  const surveyed = survey(openBook(logOf(file), TODAY));
  const judgement = judgeAll(surveyed)[0]!;
  return { verb: judgement.verdicts[0].verb, flip: nearestFlip(judgement, judgement.verdicts[0], surveyed) };
};

/** Walks as many more trips as the flip names, for real, and says what is said then. */
function walked(uses: readonly string[], what: string): Verb {
  const n = what.includes("one more") ? 1 : Number(/on (\d+)/.exec(what)![1]);
  return judge(
    openBook(
      logOf(
        chair([...uses, ...Array.from({ length: n }, () => (what.startsWith("Used") ? "used" : "unused"))]),
      ),
      TODAY,
    ),
  )[0]!.verdicts[0].verb;
}

test.each([
  [["unused", "unused", "unused"]],
  [["unused", "unused", "unused", "used", "unused"]],
  [["used", "unused"]],
  [["unused", "unused"]],
])("what it says would change %j, changes it when it is walked; one trip fewer does not", (uses) => {
  const { verb, flip } = ask(chair(uses));
  expect(flip!.what).toMatch(/^(Used|Unused) on/);
  expect(walked(uses, flip!.what)).toBe(flip!.then);
  expect(flip!.then).not.toBe(verb);
  const n = flip!.what.includes("one more") ? 1 : Number(/on (\d+)/.exec(flip!.what)![1]);
  if (n > 1) expect(walked(uses, `${flip!.what.split(" ")[0]} on ${n - 1}`)).toBe(verb);
});

test("a repair is answered by a repair; frost by nothing", () => {
  const tent = {
    items: [{ name: "Tent", kind: "tent" }],
    trips: [
      {
        starts: "2026-05-01",
        ends: "2026-05-04",
        distance: "40 km",
        conditions: { rain: "some" },
        marks: [{ item: "Tent", use: "used", trouble: "damaged" }],
      },
    ],
  };
  expect(ask(tent)).toMatchObject({ verb: "repair", flip: { what: "A repair, logged", then: "prove" } });
  const filter = {
    items: [{ name: "Filter", kind: "filter" }],
    trips: [
      {
        starts: "2026-05-01",
        ends: "2026-05-04",
        distance: "40 km",
        marks: [{ item: "Filter", use: "used", froze: true }],
      },
    ],
  };
  expect(ask(filter).flip).toBeNull();
  expect(sayFlip(null)).toMatch(/^Nothing/);
});

test("what if tells the school, the length and the mark apart, and keeps nothing", () => {
  const file = {
    items: [
      { id: "chair", name: "Chair", kind: "chair", weight: "480 g" },
      { id: "shoes", name: "Shoes", kind: "trail shoes" },
    ],
    trips: Array.from({ length: 12 }, (_, at) => ({
      id: `t${at}`,
      starts: `2025-${String(1 + at).padStart(2, "0")}-10`,
      ends: `2025-${String(1 + at).padStart(2, "0")}-13`,
      distance: "40 km",
      marks: [{ item: "shoes", use: "used" }, ...(at > 9 ? [{ item: "chair", use: "unused" }] : [])],
    })),
  };
  const surveyed = survey(openBook(logOf(file), TODAY));
  const judgements = judgeAll(surveyed);
  const changed = (supposition: Parameters<typeof whatIf>[2]) =>
    whatIf(surveyed, judgements, supposition).map(
      ({ item, from, to }) => `${item}: ${from.verb} → ${to.verb}`,
    );
  expect(changed({ school: "lean" })).toEqual(["chair: keep → drop"]);
  expect(changed({ next: { name: null, ends: null, days: 20, nights: 19, metres: 500_000 } })).toEqual([
    "shoes: service → replace",
  ]);
  expect(changed({ school: "even" })).toEqual([]);
  expect(judgeAll(surveyed).map(({ verdicts: [lead] }) => lead.verb)).toEqual(
    judgements.map(({ verdicts: [lead] }) => lead.verb),
  );
});
