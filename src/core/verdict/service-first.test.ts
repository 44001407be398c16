import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { judge } from "./judge";

const walk = (month: string, mark: object = {}) => ({
  name: `Walk ${month}`,
  starts: `2026-${month}-10`,
  ends: `2026-${month}-14`,
  distance: "60 km",
  conditions: { rain: "some" },
  marks: [{ item: "It", use: "used", ...mark }],
});

/** The leading verdict on a thing of this kind, two good trips before these. */
const lead = (kind: string, trips: readonly object[], entries: readonly object[] = []) =>
  judge(
    openBook(
      logOf({
        items: [{ name: "It", kind, price: 200 }],
        trips: [walk("02"), walk("03"), ...trips],
        entries: entries.map((entry) => ({ item: "It", ...entry })),
      }),
      "2026-11-24",
    ),
  )[0]!.verdicts[0];

// Leaks and clogs get service first, then proof: common practice, no source.
describe("what a service may bring back", () => {
  test.each([
    [
      "tent",
      { trouble: "failed", cause: "worn", note: "seams leaked all night" },
      "now",
      /Seal the seams and reproof first/,
    ],
    ["tent", { trouble: "damaged", note: "drips at the ridge" }, "before next trip", /Seal the seams/],
    ["rain shell", { trouble: "failed", cause: "worn", note: "wetted out" }, "now", /Wash and reproof first/],
    [
      "boots",
      { trouble: "failed", cause: "worn", note: "no longer waterproof" },
      "now",
      /Clean and reproof first/,
    ],
    ["filter", { trouble: "failed", note: "clogged" }, "now", /Backflush first/],
    ["quilt", { trouble: "damaged", note: "the loft is gone" }, "before next trip", /Wash first/],
  ])("a %s that let its owner down so is serviced first: %j", (kind, mark, urgency, says) => {
    expect(lead(kind, [walk("09", mark)])).toMatchObject({
      verb: "service",
      urgency,
      says: expect.stringMatching(says),
    });
  });

  test.each([
    ["tent", { trouble: "failed", cause: "worn", note: "the poles snapped" }, "replace"],
    ["tent", { trouble: "failed", cause: "misuse", note: "let the rain in, fly left open, tore" }, "repair"],
    ["tent", { trouble: "failed", cause: "defect", note: "seam leaked on its first night" }, "replace"],
    ["tent", { trouble: "failed", cause: "worn", note: "leaks", condition: 0 }, "replace"],
    ["tent", { trouble: "failed", note: "leaks", call: "replace" }, "replace"],
    ["filter", { trouble: "failed", note: "cracked" }, "replace"],
    ["water bag", { trouble: "damaged", note: "leaks" }, "repair"],
  ])("a %s is not, where it is another fault or the owner knows better: %j", (kind, mark, verb) => {
    expect(lead(kind, [walk("09", mark)]).verb).toBe(verb);
  });

  test("a nuisance of that sort, twice, is serviced and not swapped; of another sort it is swapped", () => {
    const twice = (kind: string, note: string) =>
      lead(kind, [walk("08", { trouble: "nuisance", note }), walk("09", { trouble: "nuisance", note })]);
    expect(twice("rain shell", "wets out after an hour")).toMatchObject({
      verb: "service",
      says: "Wets out after an hour, on 2\u00a0trips. First wash and reproof; if that does not bring it back, replace it.",
    });
    expect(twice("filter", "takes for ever")).toMatchObject({
      verb: "service",
      says: expect.stringMatching(/^Slow on 2.trips\. First backflush/),
    });
    expect(twice("rain shell", "the hood flaps").verb).toBe("swap");
  });

  const leak = { trouble: "failed", cause: "worn", note: "leaked" };
  const sealed = [{ on: "2026-09-20", what: "service" }];

  test("once serviced it is to be proved in the wet, and then kept", () => {
    expect(lead("tent", [walk("09", leak)], sealed)).toMatchObject({
      verb: "prove",
      says: expect.stringMatching(/^Mended on 2026-09-20 and not used in rain or wind since/),
    });
    expect(lead("tent", [walk("09", leak), walk("10")], sealed).verb).toBe("keep");
  });

  test("what was flat and is charged again is as good as it was", () => {
    expect(lead("head torch", [walk("09", { trouble: "failed", cause: "flat or empty" })], sealed).verb).toBe(
      "keep",
    );
  });

  test("come back after a service, it is replaced", () => {
    expect(lead("tent", [walk("09", leak), walk("10", leak)], sealed)).toMatchObject({
      verb: "replace",
      says: expect.stringContaining("worn out"),
    });
    expect(
      lead(
        "filter",
        [
          walk("09", { trouble: "failed", note: "clogged" }),
          walk("10", { trouble: "failed", note: "clogged again" }),
        ],
        sealed,
      ).verb,
    ).toBe("replace");
  });

  test("a yearly service before it first leaked is no trial", () => {
    expect(lead("tent", [walk("09", leak)], [{ on: "2026-04-01", what: "service" }]).verb).toBe("service");
  });
});
