import { expect, test } from "vitest";
import { markOf } from "@/core/model/plain-mark";
import type { Thing } from "../pack/pockets";
import { shortQuestions, type Panel, type Said } from "./panel-questions";

const thing = {
  symptoms: ["leaks air", "holed", "torn", "mould", "smell", "noise", "dirty", "loose", "bent", "broken"],
} as unknown as Thing;
const asked = (mark: Said, hasLeft = false, panel: Panel = "more") =>
  shortQuestions(panel, thing, mark, hasLeft).map(({ name, answers }) => `${name} ${answers.length}`);

test("what is asked fits what was pressed, the likeliest answers first, and what is answered stays in view", () => {
  const failed = { ...markOf("used"), troubles: ["failed" as const] };
  expect(asked(failed)).toEqual(["To be seen on it 8", "On the spot 3", expect.stringMatching(/^Why \d/)]);
  expect(asked({ ...failed, symptoms: ["broken"] })[0]).toBe("To be seen on it 9");
  expect(asked(markOf("unused"))).toEqual([expect.stringMatching(/^Why unused \d/)]);
  expect(asked(markOf("used"))).toEqual(["How bad 3", "What was wrong 8"]);
  const heavy = { ...markOf("used"), complaints: [{ what: "too heavy" as const, on: null }] };
  expect(asked(heavy)).toEqual(["How bad 3", "What was wrong 8", "Only on 9"]);
  expect(asked(markOf("unused"), true).at(-1)).toMatch(/^It left the pack/);
  expect(asked(failed, false, "trouble").slice(0, 2)).toEqual(["How bad 3", "To be seen on it 8"]);
});
