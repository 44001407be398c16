import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { failsOn, waysOut } from "./fails";
import { planFor } from "./plan";
import { sayAlone, sayIfItFails, sayLongest } from "./words";

const units = { weight: "g", distance: "km", temperature: "C" } as const;
const plainText = (text: string | null) => text?.replaceAll(/[\u00a0\u202f]/g, " ");

const things = [
  { id: "tent", name: "Tent", kind: "tent", weight: "1200 g", needs: ["poles"] },
  { id: "poles", name: "Poles", kind: "poles", weight: "400 g" },
  { id: "quilt", name: "Quilt", kind: "quilt", weight: "600 g" },
  { id: "pad", name: "Pad", kind: "inflatable pad", weight: "400 g" },
  { id: "shoes", name: "Shoes", kind: "trail shoes", weight: "600 g" },
  { id: "torch", name: "Torch", kind: "head torch", weight: "80 g" },
  { id: "spare", name: "Clip light", kind: "head torch", weight: "20 g" },
  { id: "new", name: "New shoes", kind: "trail shoes", weight: "600 g", state: "wished", delivery: 6 },
];
const walk = (n: number) => ({
  id: `t${n}`,
  name: `Walk ${n}`,
  starts: `2025-0${n}-01`,
  ends: `2025-0${n}-06`,
  distance: "150 km",
  marks: things.filter(({ state }) => state === undefined).map(({ id }) => ({ item: id, use: "used" })),
});
const log = (ahead: object = {}) =>
  logOf({
    items: things,
    trips: [
      walk(3),
      walk(4),
      walk(5),
      {
        id: "next",
        name: "Long way",
        planned: true,
        starts: "2025-07-10",
        ends: "2025-07-19",
        legs: [
          { id: "leg-1", name: "To Marl", distance: "60 km", offers: { shops: "some" } },
          { id: "leg-2", name: "To Vask", distance: "90 km", conditions: { town: "some" } },
          { id: "leg-3", name: "To the cape", distance: "50 km" },
        ],
        ...ahead,
      },
    ],
  });
const failsIn = (each: ReturnType<typeof log>) => {
  const trip = each.trips.find(({ id }) => id === "next")!;
  return failsOn(planFor(openBook(each, "2025-07-01"), trip), trip);
};

test("what fails takes what leans on it; what does the same stands in; shops, towns and the end are the ways out", () => {
  const fails = failsIn(log());
  expect(fails.outs.map(({ name, at, is }) => [name, at, is])).toEqual([
    ["To Marl", 60_000, "shop"],
    ["To Vask", 150_000, "town"],
    ["To the cape", 200_000, "end"],
  ]);
  expect(fails.longest).toMatchObject({ metres: 90_000, to: { name: "To Vask" } });
  const of = (name: string) => fails.things.find(({ line }) => line.item.name === name)!;
  const names = (those: readonly { name: string }[]) => those.map(({ name }) => name);
  // A wet tent wets the bed.
  expect([names(of("Tent").takes), names(of("Tent").standsIn)]).toEqual([["Quilt"], []]);
  expect(names(of("Torch").standsIn)).toEqual(["Clip light"]);
  expect(of("Shoes").orderBy).toBe("2025-07-03");
  // The worst first: worn shoes with nothing to stand in lead, a doubled light comes behind what is alone.
  expect(fails.things[0]!.line.item.name).toBe("Shoes");
  const at = (name: string) => fails.things.findIndex(({ line }) => line.item.name === name);
  expect(at("Torch")).toBeGreaterThan(at("Tent"));
  expect(fails.things.length).toBeLessThanOrEqual(7);
});

test("in words, and on a way without a shop", () => {
  const fails = failsIn(log());
  const [shoes] = fails.things;
  expect(plainText(sayIfItFails(shoes!, units))).toMatch(
    /^Shoes \(\d+ % to give out\): Nothing along stands in\. Most likely after \d+ km: \d+ km before the (shop|town|end).*Another has to be ordered by 3 July 2025\.$/,
  );
  expect(sayAlone(fails.things)).toBe("Nothing along stands in for Quilt either.");
  expect(sayAlone([])).toBeNull();
  expect(plainText(sayLongest(fails, units))).toBe(
    "The longest stretch without a shop or a town: 90 km, up to the town at the end of To Vask.",
  );
  expect(sayIfItFails({ ...shoes!, isTooLate: true }, units)).toMatch(
    /Too late to order another: 3 July 2025 was the last day\.$/,
  );
  const said = (name: string) => {
    const thing = fails.things.find(({ line }) => line.item.name === name)!;
    return plainText(sayIfItFails({ ...thing, chance: null, at: null, orderBy: null }, units));
  };
  expect(said("Tent")).toBe("Tent: Quilt goes with it. Nothing along stands in.");
  expect(said("Torch")).toBe("Torch: Clip light would stand in.");
  const tent = fails.things.find(({ line }) => line.item.name === "Tent")!;
  const [clip] = fails.things.find(({ line }) => line.item.name === "Torch")!.standsIn;
  const both = { ...tent, takes: [...tent.takes, clip!], chance: 0, at: null, orderBy: null };
  expect(sayIfItFails(both, units)).toBe("Tent: Quilt and Clip light go with it. Nothing along stands in.");
  const none = failsIn(log({ legs: [{ id: "leg-1", distance: "80 km" }] }));
  expect(none.outs).toEqual([{ name: "leg 1", at: 80_000, is: "end" }]);
  expect(waysOut({ legs: [] })).toEqual([]);
});
