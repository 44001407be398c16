import { expect, test } from "vitest";
import { Entry, Item, Mark, Settings, Trip } from ".";

/** What is said of the first thing wrong. */
const said = (
  schema: typeof Item | typeof Trip | typeof Mark | typeof Entry | typeof Settings,
  raw: unknown,
) => {
  const read = schema.safeParse(raw);
  return read.success ? null : read.error.issues[0]!.message;
};

test("no schema speaks in the package's words", () => {
  const trip = { id: "t", name: "T", starts: "2026-05-01", ends: "2026-05-03", legs: [] };
  const all = [
    said(Item, { id: "a", name: "A", pieces: -1 }),
    said(Item, { id: "a", name: "A", pieces: 1.5 }),
    said(Item, { id: "a", name: "A", jobs: ["fly"] }),
    said(Item, { id: "a", name: 7 }),
    said(Item, {}),
    said(Item, null),
    said(Trip, { ...trip, nights: -2 }),
    said(Trip, { ...trip, nights: "two" }),
    said(Trip, { ...trip, nights: 5000 }),
    said(Trip, { ...trip, conditions: { rain: "lots" } }),
    said(Trip, { ...trip, legs: [{ id: "l", distance: "5 km", nights: -1 }] }),
    said(Trip, { ...trip, made: ["a", "b", "c", "d"] }),
    said(Mark, { use: "loved" }),
    said(Mark, { use: "used", left: 3 }),
    said(Mark, { use: "used", pieces: -1 }),
    said(Entry, { id: "e", item: "a", on: "tomorrow", what: "repair" }),
    said(Settings, { school: "grim" }),
    said(Settings, { body: "-70 kg" }),
  ];
  for (const message of all) {
    expect(message).toMatch(/^[A-Z“].*[.]$/);
    expect(message).not.toMatch(/expected|received|invalid|too (small|big)|undefined|NaN|>=|<=/i);
  }
});
