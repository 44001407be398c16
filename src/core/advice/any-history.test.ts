import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyFile, logOf } from "../../../tests/histories";
import { lead, one, TODAY, verdicts } from "../../../tests/judged";
import { openBook, withCarries, withMark } from "../ledger/book";
import { Mark, type SchoolName } from "../model";
import type { Advice, Verdict } from "./advise";
import { kitAfter, kitOf } from "./kit";
import { isSetAside, precedence } from "./resolve";

const school4 = fc.constantFrom<SchoolName>("lean", "even", "roomy", "wary");

const said = (advised: Iterable<Advice>) =>
  [...advised].map(({ case: { item, standing, left }, verdicts: found }) => [
    item.id,
    standing,
    left?.givesOut,
    ...found.map(({ verb, reason, urgency, sureness }) => `${verb}: ${reason}, ${urgency}, ${sureness}`),
  ]);

describe("for any history", () => {
  test("no two verdicts that stand ask for the same, they come in their order, and what is set aside comes last", () => {
    fc.assert(
      fc.property(anyFile, school4, (file, school) => {
        for (const { case: one, verdicts: found } of verdicts(logOf(file), school)) {
          const standing = found.filter((verdict) => !isSetAside(verdict));
          expect(found.slice(standing.length).every(isSetAside)).toBe(true);
          const places = standing.map((verdict) => precedence(verdict, one));
          expect(places).toEqual([...places].sort((a, b) => a - b));
          const asked = standing
            .filter(({ ruling }) => ruling?.decision !== "later")
            .map(({ verb, facts }) => `${verb} ${"what" in facts && verb === "service" ? facts.what : ""}`);
          expect(new Set(asked).size).toBe(asked.length);
        }
      }),
      { numRuns: 80 },
    );
  });

  test("units do not matter: typed in ounces and miles, the same is said", () => {
    fc.assert(
      fc.property(anyFile, (file) => {
        const inMiles = (km: string) => `${parseFloat(km) / 1.609344} mi`;
        const other = {
          ...file,
          items: file.items.map((item) => ({
            ...item,
            ...(item.weight ? { weight: `${parseFloat(item.weight) / 28.349523125} oz` } : {}),
          })),
          trips: file.trips.map((trip) => ({ ...trip, distance: inMiles(trip.distance) })),
        };
        const said = (each: object) =>
          verdicts(logOf(each)).map(({ verdicts: found }) =>
            found.map(({ verb, urgency }) => `${verb} ${urgency}`),
          );
        expect(said(other)).toEqual(said(file));
      }),
      { numRuns: 60 },
    );
  });

  test("one mark judged again, and what it touches, is what judging everything anew says", () => {
    fc.assert(
      fc.property(anyFile, fc.nat(), fc.constantFrom("used", "hardly", "unused"), (file, pick, use) => {
        const log = logOf(file);
        const carries = log.trips.flatMap((trip) => trip.carries.map((carry) => ({ trip, carry })));
        if (carries.length === 0) return;
        const { trip, carry } = carries[pick % carries.length]!;
        const mark = Mark.parse({ use });
        const changed = {
          ...log,
          trips: log.trips.map((each) =>
            each === trip
              ? { ...each, carries: each.carries.map((one) => (one === carry ? { ...one, mark } : one)) }
              : each,
          ),
        };
        const before = kitOf(openBook(log, TODAY));
        const book = withMark(before.book, { trip: trip.id, item: carry.item, mark });
        expect(said(kitAfter(before, book, [carry.item]).things)).toEqual(said(verdicts(changed)));
      }),
      { numRuns: 80 },
    );
  });

  test("change upon change judged again, things packed, marked and taken out, is what judging everything anew says", () => {
    const change = fc.tuple(
      fc.nat(),
      fc.nat(),
      fc.constantFrom<object | null>(
        null,
        { use: "unused" },
        { use: "used", troubles: ["failed"] },
        { use: "used", exit: { how: "worn out" } },
        { use: "hardly", exit: { how: "sent home" }, complaints: [{ what: "too heavy" }] },
      ),
    );
    fc.assert(
      fc.property(anyFile, fc.array(change, { minLength: 2, maxLength: 5 }), (file, changes) => {
        let log = logOf(file);
        if (log.trips.length === 0) return;
        const book = openBook(log, TODAY);
        let kept = kitOf(book);
        for (const [tripPick, itemPick, told] of changes) {
          const trip = log.trips[tripPick % log.trips.length]!;
          const { id } = log.items[itemPick % log.items.length]!;
          const carry = { item: id, legs: null, shared: null, mark: told && Mark.parse(told) };
          const isOut = told === null && trip.carries.some(({ item, mark }) => item === id && mark === null);
          const carries = log.items.flatMap(({ id: each }) =>
            each === id ? (isOut ? [] : [carry]) : trip.carries.filter(({ item }) => item === each),
          );
          log = { ...log, trips: log.trips.map((each) => (each === trip ? { ...each, carries } : each)) };
          const then = withCarries(kept.book, log.trips, new Set([id]));
          kept = kitAfter(kept, then, [id]);
        }
        const whole = kitOf(openBook(log, TODAY));
        expect(said(kept.things)).toEqual(said(whole.things));
        expect(kept.toAdd.map(({ what }) => what)).toEqual(whole.toAdd.map(({ what }) => what));
      }),
      { numRuns: 120 },
    );
  });

  test("one more unused trip that called for it never lowers the case for dropping", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 8 }),
        fc.array(fc.constantFrom("used", "hardly", "unused"), { maxLength: 7 }),
        (_, uses) => {
          const file = (list: readonly string[]) =>
            one({ kind: "chair", weight: "480 g" }, list.length, (at) => ({ use: list[at] }));
          if (uses.length > 0 && lead(file(uses), "It").verb === "drop")
            expect(lead(file([...uses, "unused"]), "It").verb).toBe("drop");
        },
      ),
      { numRuns: 60 },
    );
  });

  test("a stricter school never drops less, but for what stays as the last of its job", () => {
    fc.assert(
      fc.property(anyFile, (file) => {
        const log = logOf(file);
        const judged = (school: SchoolName) => {
          const advised = verdicts(log, school);
          const having = (is: (verdict: Verdict) => boolean) =>
            advised.filter(({ verdicts: found }) => found.some(is)).map(({ case: { item } }) => item.id);
          return {
            dropped: having(({ verb }) => verb === "drop"),
            // Only what would be left for good is taken back: a leaning to leave it takes nothing away.
            stays: having(({ reason }) => reason === "last of its job"),
          };
        };
        const byStrictness = (["wary", "roomy", "even", "lean"] as const).map(judged);
        byStrictness.slice(1).forEach(({ dropped, stays }, n) => {
          expect([...dropped, ...stays]).toEqual(expect.arrayContaining(byStrictness[n]!.dropped));
        });
      }),
      { numRuns: 80 },
    );
  });

  test("scaling every weight by ten changes no verdict on wear, but that what is let go is not bought again", () => {
    fc.assert(
      fc.property(anyFile, (file) => {
        const heavier = {
          ...file,
          items: file.items.map((item) => ({
            ...item,
            ...(item.weight ? { weight: item.weight.replace(" g", "0 g") } : {}),
          })),
        };
        const verbs = (each: object) =>
          verdicts(logOf(each)).map(({ verdicts: found }) => found.map(({ verb }) => verb));
        const [light, heavy] = [verbs(file), verbs(heavier)];
        const onWear = (list: typeof light) =>
          list
            .filter((_, n) => !light[n]!.includes("drop") && !heavy[n]!.includes("drop"))
            .map((each) => each.filter((verb) => verb === "replace" || verb === "repair"));
        expect(onWear(heavy)).toEqual(onWear(light));
      }),
      { numRuns: 60 },
    );
  });
});
