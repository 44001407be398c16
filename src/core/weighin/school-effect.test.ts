import { expect, test } from "vitest";
import { demoLog } from "../../../demo/log";
import { openBook } from "../ledger/book";
import type { SchoolName } from "../model";
import { kitOf } from "../advice/kit";
import { schoolEffect } from "./school-effect";

const by = (school: SchoolName) => {
  const log = demoLog();
  return kitOf(openBook({ ...log, settings: { ...log.settings, school } }, "2026-11-20"));
};

test("a school beside itself changes nothing; the leaner leaves more and takes nothing back", () => {
  expect(schoolEffect(by("even"), "even")).toEqual({ leaves: [], leans: [], takes: [] });
  const lean = schoolEffect(by("wary"), "lean");
  expect(lean.leans.map(({ name }) => name)).toContain("Spare shirt");
  expect(lean.takes).toEqual([]);
  expect(lean.leans.map(({ grams }) => grams)).toEqual(
    lean.leans.map(({ grams }) => grams).toSorted((a, b) => b - a),
  );
});

test("seen from the other side, what is left more is what is taken more", () => {
  expect(schoolEffect(by("lean"), "wary").takes).toEqual(schoolEffect(by("wary"), "lean").leaves);
});
