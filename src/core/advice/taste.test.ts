import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyFile, logOf } from "../../../tests/histories";
import { TODAY } from "../../../tests/judged";
import { ADVICE_FAMILIES, COMPLAINT_WHATS, SURENESSES, URGENCIES } from "../model/lists";
import { openBook } from "../ledger/book";
import type { Log } from "../model";
import { isLaw } from "../reasons/law-reasons";
import { isCritical } from "../decide/case";
import { leaningBy } from "../reasons/temper";
import { argue } from "../say/verdicts/argument";
import { VERBS } from "../trade/verbs";
import type { Advice } from "./advise";
import { kitOf } from "./kit";

const FAR = "2199-12-31";
const forgetful = (log: Log): Log => ({
  ...log,
  settings: {
    ...log.settings,
    forgotten: Object.fromEntries([...ADVICE_FAMILIES, ...COMPLAINT_WHATS].map((about) => [about, FAR])),
  },
});
const judge = (log: Log) => kitOf(openBook(log, TODAY));
const told = ({ verdicts }: Advice, test: (verdict: Advice["verdicts"][number]) => boolean = () => true) =>
  verdicts.filter(test).map(({ verb, reason, urgency, sureness }) => [verb, reason, urgency, sureness]);

const anyAdvised = fc.record({
  verb: fc.constantFrom("drop", "bring only when", "slim", "swap", "repair", "replace", "keep"),
  urgency: fc.constantFrom(...URGENCIES),
  sureness: fc.constantFrom(...SURENESSES),
});

/** A log on each of whose trips something was shown of everything that is owned. */
const shown = fc
  .tuple(anyFile, fc.array(anyAdvised, { minLength: 1, maxLength: 12 }))
  .map(([file, advised]) => {
    const log = logOf(file);
    return {
      ...log,
      trips: log.trips.map((trip) => ({
        ...trip,
        advised: {
          on: trip.starts,
          foretold: null,
          said: log.items.map(({ id }, n) => ({
            item: id,
            reason: "any",
            leave: false,
            saves: null,
            givesOut: null,
            ...advised[n % advised.length]!,
          })),
        },
      })),
    } as Log;
  });

describe("what is learned of the owner", () => {
  test("nothing, from what was never shown", () => {
    fc.assert(
      fc.property(anyFile, (file) => {
        const { leanings } = judge({ ...logOf(file), rulings: [] }).surveyed.taste;
        expect([...leanings.values()].map(({ lean, shown }) => [lean, shown])).toEqual(
          ADVICE_FAMILIES.map(() => [0, 0]),
        );
      }),
      { numRuns: 40 },
    );
  });

  test("nothing of it crosses the law, or touches what the walk rests on", () => {
    fc.assert(
      fc.property(shown, (log) => {
        const without = new Map(judge(forgetful(log)).alone.map((advice) => [advice.case.item.id, advice]));
        for (const advice of judge(log).alone) {
          const other = without.get(advice.case.item.id)!;
          expect(told(advice, isLaw)).toEqual(told(other, isLaw));
          if (isCritical(advice.case))
            expect(told(advice, ({ verb }) => VERBS[verb].leaves !== undefined)).toEqual(
              told(other, ({ verb }) => VERBS[verb].leaves !== undefined),
            );
          if (advice.case.item.consequence !== "nuisance")
            expect(told(advice, ({ verb }) => VERBS[verb].warns === true)).toEqual(
              told(other, ({ verb }) => VERBS[verb].warns === true),
            );
        }
      }),
      { numRuns: 60 },
    );
  });

  const walks = (count: number, mark: object, advised?: object) =>
    Array.from({ length: count }, (_, n) => ({
      id: `t${n}`,
      name: `Ring ${n}`,
      starts: `2025-0${n + 1}-03`,
      ends: `2025-0${n + 1}-06`,
      distance: "60 km",
      ...(advised && { advised: { on: `2025-0${n + 1}-01`, said: [advised] } }),
      marks: [{ item: "it", ...mark }],
    }));
  const logWith = (kind: string, trips: object[], settings: object = {}) =>
    logOf({ settings, items: [{ id: "it", name: "It", kind, weight: "900 g" }], trips });
  const lead = (log: Log) => {
    const [{ verb, reason, sureness }] = judge(log).of("it" as never)!.verdicts;
    return `${verb}: ${reason}, ${sureness}`;
  };

  test("a complaint borne on trip after trip is lived with; one that hurts is never", () => {
    const heavy = { use: "used", complaints: [{ what: "noisy" }] };
    expect(lead(logWith("chair", walks(2, heavy)))).toMatch(/^swap: complaint/);
    expect(lead(logWith("chair", walks(6, heavy)))).toMatch(/^keep: lived with/);
    const hurts = { use: "used", complaints: [{ what: "rubs or hurts" }] };
    expect(lead(logWith("chair", walks(6, hurts)))).toMatch(/^swap: complaint/);
    expect(lead(forgetful(logWith("chair", walks(6, heavy))))).toMatch(/^swap: complaint/);
  });

  test("told to leave it and taken along each time, it is said more quietly, and the argument says why", () => {
    const drop = {
      item: "it",
      verb: "drop",
      reason: "seldom wanted",
      urgency: "before next trip",
      sureness: "sure",
    };
    const log = logWith("chair", walks(7, { use: "unused", why: "another did the job" }, drop));
    const plain = judge(forgetful(log)).of("it" as never)!;
    const learned = judge(log).of("it" as never)!;
    expect(plain.verdicts[0].verb).toBe("drop");
    expect(SURENESSES.indexOf(learned.verdicts[0].sureness)).toBeLessThan(
      SURENESSES.indexOf(plain.verdicts[0].sureness),
    );
    expect(leaningBy(learned.case, learned.verdicts[0])!.lean).toBeLessThan(0);
    expect(argue(learned, learned.verdicts[0]).taste).toMatch(
      /^Told to leave things at home, you took them along each time/,
    );
    expect(argue(plain, plain.verdicts[0]).taste).toBeNull();
  });
});
