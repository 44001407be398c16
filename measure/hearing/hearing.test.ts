import { expect, test } from "vitest";
import { gradeLines, gradeTalks } from "./score";

// Invented lines and talks with what they say (`README.md` here): tuned against, so the bar is what we hold, not what is promised.

test("of the practice lines nearly all are heard right, hardly one wrong, and notes are left alone", () => {
  const lines = gradeLines();
  const share = (grade: string) => lines.filter((line) => line.grade === grade).length / lines.length;
  expect(share("right")).toBeGreaterThan(0.95);
  expect(share("wrong")).toBeLessThanOrEqual(0.03);
  expect(
    lines.filter(({ isNote, grade }) => isNote && grade !== "right").length /
      lines.filter(({ isNote }) => isNote).length,
  ).toBeLessThan(0.05);
});

test("of the practice talks three quarters are heard and hardly a twentieth wrong, as asked of it", () => {
  const talks = gradeTalks();
  const count = (part: "right" | "wanting" | "wrong") =>
    talks.reduce((all, talk) => all + talk[part].length, 0);
  expect(count("right") / (count("right") + count("wrong"))).toBeGreaterThanOrEqual(0.95);
  expect(count("right") / (count("right") + count("wanting"))).toBeGreaterThanOrEqual(0.85);
});
