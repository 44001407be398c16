import { expect, test } from "vitest";
import { HeardFact } from "../../model";
import { corrected, ofThing, pickedOf, piecesToPick } from "./correct";

const fact = HeardFact.parse({
  about: "thing",
  item: "tent",
  use: "used",
  trouble: "failed",
  symptoms: ["torn", "zip or buckle"],
});
const piece = (field: string, of: HeardFact = fact) => piecesToPick(of).find((each) => each.field === field)!;

test("one piece is put right, and the others stay", () => {
  expect(corrected(fact, piece("trouble"), "damaged")).toEqual({ ...fact, trouble: "damaged" });
  expect(corrected(fact, piece("trouble"), "")).toEqual({
    about: "thing",
    item: "tent",
    use: "used",
    symptoms: ["torn", "zip or buckle"],
  });
  expect(corrected(fact, piece("pieces"), "2")).toEqual({ ...fact, pieces: 2 });
  expect(ofThing(fact, "tarp")).toEqual({ ...fact, item: "tarp" });
});

test("of several symptoms the first is shown, changed, and taken away", () => {
  expect(pickedOf(fact, piece("symptoms"))).toBe("torn");
  expect(corrected(fact, piece("symptoms"), "holed")).toEqual({
    ...fact,
    symptoms: ["holed", "zip or buckle"],
  });
  expect(corrected(fact, piece("symptoms"), "zip or buckle")).toEqual({
    ...fact,
    symptoms: ["zip or buckle"],
  });
  expect(corrected(fact, piece("symptoms"), "")).toEqual({ ...fact, symptoms: ["zip or buckle"] });
});

test("a number that is none, or that nothing can have, is refused; a night keeps what it must have", () => {
  const night = HeardFact.parse({ about: "night", low: 3, felt: "cold", slept: [], nights: 1 });
  expect(corrected(night, piece("low", night), "cold")).toBeNull();
  expect(corrected(night, piece("low", night), "-200")).toBeNull();
  expect(corrected(night, piece("low", night), "−2,5")).toEqual({ ...night, low: -2.5 });
  expect(corrected(night, piece("low", night), "")).toEqual({ ...night, low: null });
  expect(corrected(night, piece("nights", night), "")).toBeNull();
});
