import { describe, expect, test } from "vitest";
import { ItemId, Mark, type Stow } from "@/core/model";
import { actOfKey } from "./unpack-keys";
import type { Thing } from "./pockets";
import { acted, beginUnpacking, focusedOf, marksOf, type Act, type Unpacking } from "./unpacking";

const id = (name: string) => ItemId.parse(name);
const thing = (name: string, stow: Stow, mark: Mark | null = null): Thing => ({
  id: id(name),
  name,
  stow,
  weight: "",
  pieces: 1,
  cover: false,
  contents: false,
  freezes: false,
  symptoms: [],
  measure: null,
  days: null,
  pattern: [],
  mark,
  code: "-",
  hint: "",
});

const THINGS = [
  thing("tent", "main"),
  thing("stove", "main"),
  thing("torch", "lid"),
  thing("map", "lid"),
] as const;

/** What some acts leave, one after another, and all that was to be saved. */
function after(acts: readonly Act[], things: readonly [Thing, ...Thing[]] = THINGS) {
  let state = beginUnpacking(things);
  const saved: (string | null)[][] = [];
  for (const act of acts) {
    const next = acted(state, act, things);
    state = next.state;
    saved.push(next.changes.map(({ item, mark }) => `${item} ${mark?.use ?? "none"}`));
  }
  return { state, saved, marks: marksOf(things, state.made) };
}

const use = (item: string, how: Mark["use"], byKey: boolean): Act => ({
  do: "use",
  item: id(item),
  use: how,
  byKey,
});

describe("marking", () => {
  test("by key the next unmarked thing is in hand; by thumb the rows stay until their pocket is empty", () => {
    expect(after([use("tent", "used", true)]).state.focus).toBe("stove");
    expect(after([use("tent", "used", false)]).state.focus).toBe("tent");
    expect(after([use("tent", "used", false), use("stove", "used", false)]).state.focus).toBe("torch");
    // The last of all stays in hand.
    const all = THINGS.map(({ id: each }) => use(each, "unused", true));
    expect(after(all).state.focus).toBe("map");
  });

  test("what was said before its use is marked goes out with the mark, and what was said stays under another key", () => {
    const { marks } = after([
      { do: "say", item: id("tent"), more: { condition: 3 } },
      use("tent", "hardly", true),
      use("tent", "used", true),
    ]);
    expect(marks.get(id("tent"))).toEqual({ ...Mark.parse({ use: "used" }), condition: 3 });
  });

  test("a trouble or a complaint implies that it was used, a reason that it was not; a grade implies nothing", () => {
    const said = (more: Partial<Mark>) =>
      after([{ do: "say", item: id("tent"), more }]).marks.get(id("tent"))?.use;
    expect(said({ troubles: ["damaged"] })).toBe("used");
    expect(said({ complaints: [{ what: "too heavy", on: null }] })).toBe("used");
    expect(said({ why: "no call for it" })).toBe("unused");
    expect(said({ condition: 4 })).toBeUndefined();
    expect(said({ note: "wet" })).toBeUndefined();
  });

  test("failed is a use with its trouble, once, and asks what failed", () => {
    const { state, marks } = after([
      { do: "fail", item: id("torch") },
      { do: "fail", item: id("torch") },
    ]);
    expect(marks.get(id("torch"))).toMatchObject({ use: "used", troubles: ["failed"] });
    expect(state.panel).toEqual({ item: "torch", kind: "trouble" });
    expect(state.focus).toBe("torch");
  });

  test("the rest of a pocket is used at once, what is marked in it left alone; and one undo takes it back", () => {
    const { saved, state, marks } = after([use("tent", "unused", true), { do: "rest used" }, { do: "undo" }]);
    expect(saved).toEqual([["tent unused"], ["stove used"], ["stove none"]]);
    expect(marks.get(id("tent"))?.use).toBe("unused");
    expect(marks.get(id("stove"))).toBeNull();
    expect(state.focus).toBe("stove");
  });
});

describe("taking back", () => {
  test("undo brings back what stood there, as often as anything was done, and then does nothing", () => {
    const known = [thing("tent", "main", Mark.parse({ use: "hardly", note: "wet" })), THINGS[1]] as const;
    const { marks, saved } = after(
      [
        use("tent", "unused", true),
        use("stove", "used", true),
        { do: "undo" },
        { do: "undo" },
        { do: "undo" },
      ],
      known,
    );
    expect(marks.get(id("tent"))).toEqual(known[0].mark);
    expect(marks.get(id("stove"))).toBeNull();
    expect(saved.at(-1)).toEqual([]);
  });
});

describe("walking", () => {
  const walked = (...acts: Act[]) => after(acts).state.focus;
  test("arrows go from thing to thing and from pocket to pocket, and stop at either end", () => {
    expect(walked({ do: "step", by: 1 }, { do: "step", by: 1 })).toBe("torch");
    expect(walked({ do: "step", by: -1 })).toBe("tent");
    expect(walked({ do: "step pocket", by: 1 })).toBe("torch");
    expect(walked({ do: "step pocket", by: 1 }, { do: "step pocket", by: 1 })).toBe("torch");
    expect(walked({ do: "step pocket", by: 1 }, { do: "step pocket", by: -1 })).toBe("tent");
  });

  test("it begins at what is not marked yet; what has just joined is stood for by the first", () => {
    const marked = [thing("tent", "main", Mark.parse({ use: "used" })), THINGS[1]] as const;
    expect(beginUnpacking(marked).focus).toBe("stove");
    expect(focusedOf(THINGS, id("not-here-yet")).id).toBe("tent");
  });
});

test("a key does what it says to the thing in hand, and leaves others' keys alone", () => {
  const state: Unpacking = beginUnpacking(THINGS);
  expect(actOfKey("h", state)).toEqual(use("tent", "hardly", true));
  expect(actOfKey("U", state)).toEqual({ do: "rest used" });
  expect(actOfKey("3", state)).toEqual({ do: "say", item: "tent", more: { condition: 3 } });
  // In an open panel a digit answers its question.
  expect(actOfKey("3", { ...state, panel: { item: id("tent"), kind: "trouble" } })).toBeNull();
  expect(actOfKey("t", state)).toEqual({ do: "panel", item: "tent", kind: "trouble" });
  expect(actOfKey("Escape", state)).toBeNull();
  expect(actOfKey("Escape", { ...state, panel: { item: id("tent"), kind: "why" } })).toMatchObject({
    kind: null,
  });
  expect(actOfKey("6", state)).toBeNull();
  expect(actOfKey("Tab", state)).toBeNull();
});
