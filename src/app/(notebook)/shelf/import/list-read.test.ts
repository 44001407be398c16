import { expect, test } from "vitest";
import { mayKeep, mended, readList, tableOf } from "./list-read";
import { NO_LIST, otherList, type ListState } from "./list-state";

const SHELF = { owned: ["mug"], unit: "g" } as const;
const LIST = "name,weight,qty\nPot,120 g,1\nMug,90 g,1\nStakes,96 g,8\nAnvil,31 kg,1\nTotal,31.3 kg,\n";

const read = (more: Partial<ListState> = {}, text = LIST) => {
  const state = { ...otherList(NO_LIST, text), ...more };
  const table = tableOf(text);
  if (!table?.ok) throw new Error("no table");
  return { state, list: readList(state, table, SHELF) };
};
const names = (rows: readonly { readonly name: string }[]) => rows.map(({ name }) => name);

test("what is here already, a total, and what is heavy are each asked about", () => {
  const { list, state } = read();
  expect(names(list.twice)).toEqual(["Mug"]);
  expect(names(list.aside)).toEqual(["Total"]);
  expect(names(list.several)).toEqual(["Stakes"]);
  expect(names(list.heavy)).toEqual(["Anvil"]);
  expect(names(list.good)).toEqual(["Pot", "Stakes", "Anvil"]);
  expect(mayKeep(list, state)).toBe(false);
  const sure = read({ sure: true });
  expect(mayKeep(sure.list, sure.state)).toBe(true);
  expect(names(read({ doubles: true }).list.good)).toContain("Mug");
});

test("a row that can't be read stops the list until its cell is mended; another list begins afresh", () => {
  const bad = read({}, "name,weight\nPot,heavy\nMug two,90 g\n");
  expect(names(bad.list.bad)).toEqual(["Pot"]);
  expect(mayKeep(bad.list, bad.state)).toBe(false);
  const line = bad.list.bad[0]!.line;
  const again = read(mended(bad.state, line, "weight", "120 g"), bad.state.text);
  expect(again.list.bad).toEqual([]);
  expect(mayKeep(again.list, again.state)).toBe(true);
  expect(otherList(again.state, "name\nTent\n").mends.size).toBe(0);
});

test("the weight of several is that of all, or of each where it is said; nothing typed is no table", () => {
  const stakes = (more: Partial<ListState>) =>
    read(more).list.good.find(({ name }) => name === "Stakes")?.weights?.[0]?.weight;
  expect(stakes({})).toBe("96 g");
  expect(stakes({ each: true })).toBe("768 g");
  expect(tableOf("  ")).toBeNull();
});

test("headings in many words are found, and what is asked of the whole list holds for each thing", () => {
  const text =
    "What is it,How many,Each (g),Paid,Where it lives\nWater bottle 1 l,2,90,12,cellar\nBag −2 °C,1,900,,loft\n";
  const { list } = read({ claimed: true, past: "unknown" }, text);
  expect(list.good).toMatchObject([
    {
      name: "Water bottle 1 l",
      pieces: 2,
      price: 12,
      weights: [{ weight: "180 g", how: "claimed" }],
      ratings: { litres: 1 },
      past: "unknown",
    },
    { name: "Bag −2 °C", ratings: { label: { celsius: -2, means: "plain" } }, past: "unknown" },
  ]);
});
