import { expect, test } from "vitest";
import { sentencesOf } from "./tokens";

test.each<readonly [string, readonly string[]]>([
  ["One. Two.", ["One. ", "Two."]],
  ["One! … Two?", ["One! ", "… ", "Two?"]],
  ["Wait... then on.", ["Wait... ", "then on."]],
  ["At 3.5 km it tore.", ["At 3.5 km it tore."]],
  ["She said “no.” So be it.", ["She said “no.” ", "So be it."]],
  ["(Wet.) Dry.", ["(Wet.) ", "Dry."]],
  ["One\n\n  two", ["One\n\n", "  two"]],
  ["\nOne", ["\n", "One"]],
  ["no stop", ["no stop"]],
  ["", []],
])("sentences end at a stop and at a line's end, and are the text to the letter: %j", (text, sentences) => {
  const found = sentencesOf(text);
  expect(found.map((each) => each.text)).toEqual(sentences);
  expect(found.map((each) => each.text).join("")).toBe(text);
  for (const { at, text: each } of found) expect(text.slice(at, at + each.length)).toBe(each);
});
