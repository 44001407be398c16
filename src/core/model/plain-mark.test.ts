import { expect, test } from "vitest";
import { Mark } from "./mark";
import { USES } from "./lists";
import { markInFile, markOf } from "./plain-mark";

test("a mark that a page makes and sends is what its schema would make of it", () => {
  for (const use of USES) expect(markOf(use)).toEqual(Mark.parse({ use }));
  const said = Mark.parse({
    use: "used",
    troubles: ["failed"],
    exit: { how: "swapped", for: "gas-stove" },
    at: { leg: "leg-1", distance: "12.5 mi" },
    complaints: [{ what: "too heavy", on: "rock" }],
    note: "tore at the seam",
  });
  expect(markInFile(said)).toEqual(Mark.encode(said));
  expect(markInFile(said).at?.distance).toBe("12.5 mi");
  expect(markInFile({ ...said, at: null })).toEqual(Mark.encode({ ...said, at: null }));
  const onLeg = { ...said, at: { leg: said.at!.leg, distance: null } };
  expect(markInFile(onLeg)).toEqual(Mark.encode(onLeg));
});
