import { expect, test } from "vitest";
import { demoLog } from "../../../demo/log";
import { openBook } from "../ledger/book";
import type { SchoolName } from "../model";
import { judge } from "../reasons/judge";
import { schoolEffect } from "./school-effect";

const by = (school: SchoolName) => {
  const log = demoLog();
  return judge(openBook({ ...log, settings: { ...log.settings, school } }, "2026-11-20"));
};

test("a school beside itself changes nothing; the leaner leaves more and takes nothing back", () => {
  expect(schoolEffect(by("even"), by("even"))).toEqual({ leaves: [], takes: [] });
  const lean = schoolEffect(by("wary"), by("lean"));
  expect(lean.leaves.length).toBeGreaterThan(0);
  expect(lean.takes).toEqual([]);
  expect(lean.leaves.map(({ grams }) => grams)).toEqual(
    lean.leaves.map(({ grams }) => grams).toSorted((a, b) => b - a),
  );
});

test("seen from the other side, what is left more is what is taken more", () => {
  const [wary, lean] = [by("wary"), by("lean")];
  expect(schoolEffect(lean, wary).takes).toEqual(schoolEffect(wary, lean).leaves);
});
