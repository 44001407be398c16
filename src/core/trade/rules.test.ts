import { expect, test } from "vitest";
import { kindOf } from "./words/names";
import { Settings } from "../model";
import { rulesOf } from "./rules";
import { backupsFor, SCHOOLS } from "./schools";

const rules = (settings: object, school?: "lean" | "wary") => rulesOf(Settings.parse(settings), school);

test("with nothing changed, the trade's numbers hold", () => {
  const { school, terrain, tooLikely, kindOf: own } = rules({});
  expect(school).toEqual(SCHOOLS.even);
  expect([terrain.rock, tooLikely.danger, tooLikely.nuisance]).toEqual([1.5, 0.1, 0.4]); // common practice, no source
  expect(own({ kind: "trail shoes" })).toBe(kindOf({ kind: "trail shoes" }));
});

test("one line of one school is changed, and no other", () => {
  const settings = { schools: { even: { dropLine: 0.2 } } };
  expect(rules(settings).school).toEqual({ ...SCHOOLS.even, dropLine: 0.2 });
  expect(rules(settings, "lean").school).toEqual(SCHOOLS.lean);
});

test("a kind's life, limits and counted services are the owner's; the rest of it, and other kinds, are not touched", () => {
  const { kindOf: own } = rules({
    kinds: { quilt: { median: 250, limits: { loft: 80 }, services: { "wash it": 40 } } },
  });
  const quilt = own({ kind: "quilt" });
  const base = kindOf({ kind: "quilt" });
  expect(quilt.life).toEqual({ ...base.life, median: 250 });
  expect(quilt.readings.find(({ what }) => what === "loft")!.limit).toBe(80);
  expect(quilt.services.map(({ what, every }) => [what, every])).toEqual([
    ["wash it", 40],
    ["look at the loft", undefined],
  ]);
  expect(quilt.jobs).toBe(base.jobs);
  expect(own({ kind: "tent" })).toBe(kindOf({ kind: "tent" }));
});

test("the lines of the schools as the trade has them", () => {
  // Common practice, no source.
  expect(
    Object.values(SCHOOLS).map(({ name, dropLine, worthNeeded }) => [name, dropLine, worthNeeded]),
  ).toEqual([
    ["lean", 0.45, 1.5],
    ["even", 0.35, 1],
    ["roomy", 0.28, 0.6],
    ["wary", 0.24, 0.4],
  ]);
  expect(["light", "treat water", "fire"].map((job) => backupsFor(SCHOOLS.wary, job as "fire"))).toEqual([
    2, 2, 1,
  ]);
  expect(backupsFor(SCHOOLS.lean, "light")).toBe(0);
});

test.each([
  [{ kinds: { tent: { median: 0 } } }, /above 0/],
  [{ kinds: { tent: { shape: 99 } } }, /10 at most/],
  [{ schools: { even: { dropLine: 1.4 } } }, /Between 1 and 99/],
  [{ terrain: { rock: -1 } }, /above 0/],
  [{ giveOut: { danger: 0 } }, /Between 1 and 99/],
  [{ body: "heavy" }, /./],
])("refused with a sentence: %j", (settings, sentence) => {
  const read = Settings.safeParse(settings);
  expect(read.success).toBe(false);
  expect(read.error!.issues[0]!.message).toMatch(sentence);
});
