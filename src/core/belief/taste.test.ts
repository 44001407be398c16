import { describe, expect, test } from "vitest";
import type { Answered } from "../ledger/followed";
import type { ItemId } from "../model";
import { SCHOOLS } from "../trade/schools";
import { borneAfter, leaningOf, leaningOn, letsGo, linesFor, livesWith, patienceOf, USUAL } from "./taste";

const answer = (item: string, followed: boolean, n = 0, more: Partial<Answered> = {}): Answered => ({
  item: item as ItemId,
  family: "leave it",
  sureness: "sure",
  followed,
  used: false,
  on: "2026-01-01",
  n,
  ...more,
});
const refusing = (things: number) => Array.from({ length: things }, (_, n) => answer(`thing ${n}`, false));

describe("how an owner takes advice", () => {
  test("who was shown nothing is as their school supposes, and moves no line", () => {
    const { follows, lean } = leaningOf("leave it", [], 9);
    expect([follows, lean]).toEqual([USUAL["leave it"], 0]);
    const leanings = new Map([["leave it" as const, leaningOf("leave it", [], 9)]]);
    expect(linesFor(SCHOOLS.even, { leanings, patience: new Map() })).toEqual(SCHOOLS.even);
  });

  test("one answer is no habit: it moves no line", () => {
    const leanings = new Map([["leave it" as const, leaningOf("leave it", refusing(1), 1)]]);
    expect(linesFor(SCHOOLS.even, { leanings, patience: new Map() })).toEqual(SCHOOLS.even);
  });

  // By hand: supposed 0.95 × 0.4⁴ = 0.02432; anyone 0.05 × B(1, 5) = 0.05 / 5 = 0.01; so 0.7086 as supposed;
  // follows 0.7086 × 0.6 + 0.2914 × 1/6 = 0.4737.
  test("four things taken along all the same, worked by hand", () => {
    const { follows, shown, followed } = leaningOf("leave it", refusing(4), 1);
    expect(follows).toBeCloseTo(0.4737, 3);
    expect([shown, followed]).toEqual([4, 0]);
  });

  test("more refused, less is expected; and never beyond the bounds", () => {
    const all = [0, 1, 2, 4, 8, 16, 32].map((n) => leaningOf("leave it", refusing(n), 1));
    expect(all.map(({ follows }) => follows)).toEqual(
      all.map(({ follows }) => follows).toSorted((a, b) => b - a),
    );
    const { lean } = all.at(-1)!;
    expect(lean).toBeGreaterThanOrEqual(-1);
    const lines = linesFor(SCHOOLS.even, {
      leanings: new Map([["leave it" as const, all.at(-1)!]]),
      patience: new Map(),
    });
    expect(lines.dropLine).toBeGreaterThan(SCHOOLS.even.dropLine / 1.31);
    expect(lines.dropChances).toBeLessThan(SCHOOLS.even.dropChances * 1.51);
    expect([lines.backups, lines.backupsLightWater]).toEqual([
      SCHOOLS.even.backups,
      SCHOOLS.even.backupsLightWater,
    ]);
  });

  test("who takes one stool along ten times refuses a stool, not all advice", () => {
    const stool = Array.from({ length: 10 }, (_, n) => answer("stool", false, n));
    const ten = leaningOf("leave it", refusing(10), 10);
    const one = leaningOf("leave it", stool, 10);
    expect(one.follows).toBeGreaterThan(ten.follows + 0.1);
    expect(leaningOn(one, "stool" as ItemId).follows).toBeLessThan(one.follows);
    expect(leaningOn(one, "chair" as ItemId)).toEqual(one);
  });

  test("a leaning that was not followed counts half, and old answers fade", () => {
    const quiet = refusing(6).map((each): Answered => ({ ...each, sureness: "leaning" }));
    const now = leaningOf("leave it", refusing(6), 1).follows;
    expect(leaningOf("leave it", quiet, 1).follows).toBeGreaterThan(now);
    expect(leaningOf("leave it", refusing(6), 60).follows).toBeGreaterThan(now);
  });
});

describe("what is lived with", () => {
  const camera = (trips: number, letGo = false) => ({ what: "too heavy" as const, trips, letGo });

  test("nobody's complaints: the usual; borne for five trips and more, it is not told again", () => {
    const patience = patienceOf([camera(5)]).get("too heavy")!;
    expect(letsGo(patience, 0)).toBeGreaterThan(0.1);
    expect(livesWith(patience, 1)).toBe(false);
    expect(livesWith(patience, 5)).toBe(true);
    expect(borneAfter(patience)).toBeLessThanOrEqual(5);
    expect(livesWith(patience, borneAfter(patience))).toBe(true);
    expect(livesWith(patience, borneAfter(patience) - 1)).toBe(false);
  });

  test("who lets things go is asked for longer; who never does, sooner; and sorts of complaint teach each other", () => {
    const quick = patienceOf(Array.from({ length: 20 }, () => camera(0, true))).get("too heavy")!;
    const slow = patienceOf(Array.from({ length: 20 }, () => camera(8))).get("too heavy")!;
    const usual = patienceOf([camera(0)]).get("too heavy")!;
    expect(borneAfter(quick)).toBeGreaterThan(borneAfter(usual));
    expect(borneAfter(slow)).toBeLessThan(borneAfter(usual));
    const other = patienceOf([
      ...Array.from({ length: 20 }, () => camera(8)),
      { what: "noisy", trips: 0, letGo: false },
    ]);
    expect(other.get("noisy")!.hazard).toBeLessThan(usual.hazard);
  });
});
