import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoLog } from "../../demo/log";
import { anyFile, logOf } from "../../tests/histories";
import { kitOf } from "@/core/advice/kit";
import { howLong, predecessorOf } from "@/core/compare/how-long";
import { costPer, keptOf } from "@/core/compare/money";
import { openBook } from "@/core/ledger/book";
import { usedInAll } from "@/core/ledger/totals";
import type { Log } from "@/core/model";
import { planFor } from "@/core/plan/plan";
import { stagesOf } from "@/core/plan/stages";
import { plannedSupplies } from "@/core/plan/supplies";
import { seasonOf, yearsOf } from "@/core/seasons/season";
import { sayHowLong, sayItsLife } from "@/core/say/served";
import { sayWay } from "@/core/say/words";
import { distanceNumber } from "@/core/units/speak";
import { supplyUses } from "@/core/weighin/supplies";
import { suppliesAhead } from "@/core/weighin/supplies-ahead";
import { loadsOf, thingLoads } from "@/core/weighin/loads";
import { weighIn } from "@/core/weighin/weigh-in";
import { sheetOf } from "./(notebook)/(tally)/sheet-of";
import { rowsOf } from "./(notebook)/shelf/beside/rows-of";

const TODAY = "2029-01-01";
const near = (a: number, b: number) => expect(a).toBeCloseTo(b, 4);
const everyLog = (check: (log: Log) => void) =>
  fc.assert(
    fc.property(anyFile, (file) => check(logOf(file))),
    { numRuns: 60, examples: [] },
  );

/** The figures that stand on two pages or more, and where: each must be one figure. */
describe("a figure on two pages is one figure", () => {
  test("how far a thing went: Tally, its page, side by side, Money", () => {
    const check = (log: Log) => {
      const kit = kitOf(openBook(log, TODAY));
      const { units, currency } = kit.book.settings;
      const sheet = new Map(sheetOf(kit).rows.map((row) => [row.id, row]));
      const beside = rowsOf(units, currency).find(([name]) => name === "used for")![1];
      for (const advice of kit.things) {
        const { item, totals } = advice.case;
        const { metres, nights } = usedInAll(totals);
        const row = sheet.get(item.id);
        if (row)
          expect([row.distance, row.nights]).toEqual([distanceNumber(metres, units), Math.round(nights)]);
        expect(beside(item, advice)).toBe(sayWay(advice, units));
        // Whatever its life, its head has words for it.
        const long = howLong(advice, kit);
        const told = [
          ...(long ? [sayHowLong(long, TODAY)] : []),
          ...sayItsLife(advice, predecessorOf(advice, kit), units),
        ];
        expect(told.join(" ")).not.toMatch(/NaN|Invalid|undefined|Infinity/);
      }
      for (const kept of keptOf(kit.things, currency).filter(({ holders }) => holders.length === 1)) {
        const advice = kit.of(kept.holders[0]!.id)!;
        const { night, metre } = costPer(advice, currency);
        near(kept.metres, usedInAll(advice.case.totals).metres);
        if (night !== null) near(kept.cost / kept.nights, night);
        if (metre !== null) near(kept.cost / kept.metres, metre);
      }
    };
    check(demoLog());
    everyLog(check);
  });

  test("what was carried for nothing: a thing's page, Loads by thing and by trip, Season", () => {
    const check = (log: Log) => {
      const book = openBook(log, TODAY);
      const kit = kitOf(book);
      const loads = loadsOf(book);
      for (const { item, dead } of thingLoads(book)) near(dead, kit.of(item.id)!.case.totals.deadGramMetres);
      const byTrip = loads.reduce((sum, { dead }) => sum + dead, 0);
      near(
        byTrip,
        yearsOf(book).reduce((sum, year) => sum + seasonOf(book, year).deadGramMetres, 0),
      );
      near(
        byTrip,
        thingLoads(book).reduce((sum, { dead }) => sum + dead, 0),
      );
    };
    check(demoLog());
    everyLog(check);
  });

  test("base weight and the big three: a trip's page, its weigh-in, Loads", () => {
    const book = openBook(demoLog(), TODAY);
    for (const { outing, base, worn, bigThree } of loadsOf(book)) {
      const told = weighIn(book.tripOf(outing), book.item, book.items);
      expect([base, worn, bigThree]).toEqual([told.legs[0]!.base, told.legs[0]!.worn, told.bigThree.grams]);
    }
  });

  test("food, gas, power and water of a trip ahead: Next's board, its section, its path, and Supplies", () => {
    const log = demoLog("2026-11-26");
    const book = openBook(log, "2026-11-26");
    const trips = log.trips.filter(({ planned }) => planned);
    expect(trips.length).toBeGreaterThan(0);
    for (const trip of trips) {
      const plan = planFor(book, trip);
      const { ahead, shopDays, foodGrams } = plannedSupplies(plan, trip);
      const list = plan.lines.flatMap(({ item, column }) =>
        column === "take" || column === "not ready" ? [item] : [],
      );
      const { nights, days } = plan.next;
      const dryKm = (trip.foreseen.dry?.m ?? 0) / 1000;
      expect(suppliesAhead(supplyUses(book), list, { nights, days, shopDays, dryKm }, 0.9)).toEqual(ahead);
      expect(foodGrams).toBe(ahead.foodGrams);
      // The path carries at its heaviest the food that the board counts.
      const bare = stagesOf(plan, trip, []).map(({ onBack }) => onBack);
      expect(Math.max(...bare)).toBeGreaterThanOrEqual(foodGrams);
    }
  });
});
