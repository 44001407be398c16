import { expect, test } from "vitest";
import type { HeardFact, ItemId } from "../../model";
import { Units } from "../../units/units";
import { sayHeard } from "./heard";

const METRIC = Units.parse({ weight: "g", distance: "km", temperature: "C" });
const IMPERIAL = Units.parse({ weight: "oz", distance: "mi", temperature: "F" });
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
const said = (fact: object, units = METRIC) =>
  plain(
    sayHeard(
      [fact as HeardFact],
      units,
      (id: ItemId) => ({ poles: "Poles", bag: "Bag" })[id as string] ?? id,
    ),
  );
const thing = (more: object, units = METRIC) => said({ about: "thing", item: "poles", ...more }, units);

test.each<readonly [object, string]>([
  [{ use: "unused", why: "no call for it" }, "Poles: unused, no call for it"],
  [{ use: "used", trouble: "failed", symptoms: ["torn"] }, "Poles: failed, torn"],
  [{ use: "used", complaints: ["stiff"], on: "rock" }, "Poles: stiff (rock)"],
  [{ use: "hardly", complaints: ["stiff"] }, "Poles: stiff, hardly"],
  [{ exit: "lost" }, "Poles: lost"],
  [{ exit: "swapped", for: "bag" }, "Poles: swapped for Bag"],
  [{ pieces: 1, enough: 2 }, "Poles: 1 piece, 2 would be enough"],
  [{ left: 0.25, condition: 3 }, "Poles: 25 % left, graded 3 of 5"],
  [{ frost: "froze" }, "Poles: froze"],
  [{ frost: "kept" }, "Poles: kept from freezing"],
  [{ frost: "unknown", fix: "patched" }, "Poles: nobody knows whether it froze, patched"],
  [{ days: 3, with: "Ida" }, "Poles: used on 3 days, with Ida"],
  [{ did: "repair" }, "Poles: repaired"],
  [{ did: "wash" }, "Poles: washed"],
  [{ did: "service" }, "Poles: serviced"],
  [{ did: "restock" }, "Poles: restocked"],
  [{ call: "replace", made: true }, "Poles: “replace”, made the trip"],
  [{ call: "leave", stay: true }, "Poles: could have stayed at home"],
  [{ trouble: "damaged", metres: 12_000, day: 3 }, "Poles: damaged, at 12 km, on day 3"],
])("of a thing, each piece in its words: %j", (more, phrase) => {
  expect(thing(more)).toBe(phrase);
});

test("a night, an amount, what joined and what was missed; nothing heard is a note", () => {
  const night = { about: "night", low: null, felt: null, slept: [], nights: 1 };
  expect(said(night)).toBe("A night");
  expect(said({ ...night, nights: 3, felt: "cold", low: -4, slept: ["bag"] })).toBe(
    "3 nights that felt cold, down to −4 °C, in Bag",
  );
  expect(said({ ...night, low: -4 }, IMPERIAL)).toBe("A night, down to 25 °F");
  expect(thing({ trouble: "damaged", metres: 16_093.44 }, IMPERIAL)).toBe("Poles: damaged, at 10 mi");
  const gas = { about: "amount", what: "gas", value: 230, unit: "g" };
  expect(said({ ...gas, how: "used" })).toBe("Gas: 230 g");
  expect(said({ ...gas, how: "left" })).toBe("Gas: 230 g left");
  expect(said({ about: "joined", how: "found", what: "a cap" })).toBe("Found: a cap");
  expect(said({ about: "joined", how: "bought", what: "a cap", from: "the hut", for: "bag" })).toBe(
    "Bought: a cap, from the hut, in place of Bag",
  );
  expect(said({ about: "missed", what: "a spoon" })).toBe("Missed: a spoon");
  expect(sayHeard([], METRIC, String)).toBe("A note, kept as it is");
  const facts = [
    { about: "missed", what: "a spoon" },
    { about: "missed", what: "tea" },
  ] as HeardFact[];
  expect(sayHeard(facts, METRIC, String)).toBe("Missed: a spoon; Missed: tea");
});
