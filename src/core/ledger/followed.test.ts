import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { saidOf } from "../advice/said";
import { kitOf } from "../advice/kit";
import { sayFollowed } from "../say/walk/followed";
import { lookBack } from "../seasons/score";
import { openBook } from "./book";
import { followedOn } from "./followed";

const said = (item: string, more: object = {}) => ({
  item,
  verb: "keep",
  reason: "used",
  urgency: "when convenient",
  sureness: "likely",
  ...more,
});
const drop = (item: string, saves: number) =>
  said(item, { verb: "drop", leave: true, saves, sureness: "sure" });
const log = logOf({
  items: ["Chair", "Stool", "Camera", "Vest", "Tent", "Stove"].map((name) => ({
    id: name.toLowerCase(),
    name,
    kind: name === "Tent" ? "tent" : name === "Stove" ? "stove" : "other",
    weight: "400 g",
  })),
  trips: [
    {
      id: "t",
      name: "Ring",
      starts: "2026-05-01",
      ends: "2026-05-04",
      distance: "60 km",
      advised: {
        on: "2026-04-28",
        said: [
          drop("chair", 400),
          drop("stool", 300),
          drop("camera", 500),
          drop("vest", 200),
          said("tent", { verb: "repair", urgency: "now" }),
          said("stove", { givesOut: 0.2 }),
        ],
      },
      missed: [{ what: "stool" }],
      marks: [
        { item: "camera", use: "used" },
        { item: "vest", use: "unused" },
        { item: "tent", use: "used", troubles: ["failed"] },
        { item: "stove" },
      ],
    },
  ],
});
const nameOf = (id: string) => log.items.find((item) => item.id === id)?.name;

describe("what was advised, against what was packed and what happened", () => {
  const followed = followedOn(log.trips[0]!, nameOf);
  test("thing by thing", () => {
    expect(followed.map(({ item, packed, came }) => [item, packed, came])).toEqual([
      ["chair", false, "not missed"],
      ["stool", false, "missed"],
      ["camera", true, "used"],
      ["vest", true, "unused"],
      ["tent", true, "failed"],
      ["stove", true, "not marked"],
    ]);
  });

  test("in sentences", () => {
    const units = { weight: "g", distance: "km", temperature: "C" } as const;
    expect(sayFollowed(followed, units).map((each) => each.replaceAll("\u00a0", " "))).toEqual([
      "Of four things that you were told to leave, two stayed at home, 700 g less; one missed, and two went along all the same; one used.",
      "One thing that had to be seen to first went along all the same; one failed.",
    ]);
    expect(sayFollowed([], units)).toEqual([]);
  });

  test("the score is reckoned from it, and not from what would be said today", () => {
    expect(lookBack(log, log.trips[0]!, () => undefined)).toMatchObject({
      isAsSaid: true,
      counts: {
        flagged: 1,
        flaggedFailed: 1,
        unflagged: 2,
        unflaggedFailed: 0,
        leftTaken: 2,
        leftUsed: 1,
        left: 2,
        leftMissed: 1,
      },
    });
  });
});

test("what is said of a kit is kept as it stands: a row for each thing that asks for something, and one where nothing is asked", () => {
  const kit = kitOf(openBook(log, "2026-06-01"));
  const rows = saidOf(kit.things);
  expect(new Set(rows.map(({ item }) => item))).toEqual(new Set(kit.things.map((each) => each.case.item.id)));
  expect(rows.find(({ item }) => item === "tent")).toMatchObject({ verb: "repair", leave: false });
  for (const { leave, saves } of rows) expect(leave || saves === null).toBe(true);
});
