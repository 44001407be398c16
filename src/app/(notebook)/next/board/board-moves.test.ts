import { expect, test } from "vitest";
import { ItemId } from "@/core/model";
import { COLUMNS, type Column } from "@/core/plan/columns";
import type { BoardLine } from "./board-lines";
import { loadOf, moved, moveTo, otherSide } from "./board-moves";

const line = (own: Column, column: Column = own, more: Partial<BoardLine> = {}): BoardLine => ({
  id: ItemId.parse("thing"),
  name: "thing",
  stow: "main",
  set: null,
  grams: 100,
  counts: "base",
  column,
  own,
  why: "by itself",
  chance: 1,
  dead: 0,
  ...more,
});

/** Where a thing stands after a move, and whether that is its owner's word. */
const put = (from: BoardLine, side: "take" | "leave") => {
  const move = moveTo(from, side);
  if (!move) return "stays";
  const [after] = moved([from], move);
  return `${after?.column}${after?.why === "Your word." ? ", by word" : ""}`;
};

test("a thing is taken or left by word; where it stood by itself it is no word; and it is not put where it stands", () => {
  expect(put(line("take"), "leave")).toBe("leave, by word");
  expect(put(line("take"), "take")).toBe("stays");
  expect(put(line("take", "leave"), "take")).toBe("take");
  expect(put(line("leave", "take"), "leave")).toBe("leave");
  // What is taken only if something is expected, is taken or left by word either way.
  expect(put(line("take if"), "take")).toBe("take, by word");
  expect(put(line("take if"), "leave")).toBe("leave, by word");
  // What has to be done first stays to be done, whatever is said.
  expect(put(line("not ready"), "leave")).toBe("leave, by word");
  expect(put(line("not ready", "leave"), "take")).toBe("not ready");
  expect(put(line("leave", "leave"), "take")).toBe("take, by word");
});

test("its button puts it on the other side", () => {
  expect(COLUMNS.map((column) => otherSide(line(column)))).toEqual(["leave", "leave", "take", "take"]);
});

test("what goes is added up by what it counts as; what is taken only if does not go, and home is what is left", () => {
  const lines = [
    line("take", "take", { grams: 1000, dead: 5 }),
    line("not ready", "not ready", { grams: 200 }),
    line("take", "take", { grams: 300, counts: "worn" }),
    line("take", "take", { grams: 50, counts: "consumable" }),
    line("take", "take", { grams: 70, counts: "hobby" }),
    line("take if", "take if", { grams: 400, dead: 7 }),
    line("leave", "leave", { grams: 500, dead: 9 }),
    line("take", "take", { grams: null }),
  ];
  expect(loadOf(lines)).toEqual({
    base: 1200,
    worn: 300,
    consumable: 50,
    hobby: 70,
    onBack: 1320,
    home: 500,
    dead: 5,
  });
});
