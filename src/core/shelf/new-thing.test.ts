import { expect, test } from "vitest";
import { newThing } from "./new-thing";
import { type HowCome } from "./how-come";
import { parseLine } from "./parse-line";

test("a new thing remembers how it came, and from which day; a borrowed one has an owner", () => {
  const parsed = parseLine("mug 60 g", "g");
  const come = (how: HowCome, owner?: string) =>
    newThing(parsed, new Set(["mug"]), { how, on: "2026-05-02", ...(owner && { owner }) });
  expect(newThing(parsed, new Set())).toMatchObject({
    id: "mug",
    past: "known",
    acquired: null,
    owner: null,
  });
  expect(come("bought", "Ida")).toMatchObject({
    id: "mug-2",
    past: "new",
    acquired: "2026-05-02",
    owner: null,
  });
  expect(come("found")).toMatchObject({ past: "unknown", acquired: "2026-05-02", owner: null });
  expect(come("borrowed", "Ida")).toMatchObject({ past: "unknown", owner: "Ida" });
  expect(come("borrowed")).toMatchObject({ owner: "somebody else" });
  expect(come("had already")).toMatchObject({ past: "known", acquired: null });
});
