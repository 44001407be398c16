import fc from "fast-check";
import { KINDS } from "@/core/trade/kinds";
import {
  Cause,
  ComplaintWhat,
  Consequence,
  Frost,
  OwnerCall,
  Strength,
  Symptom,
  Trouble,
  Use,
  WhyUnused,
  type WholeLog,
} from "@/core/model";
import { FORMAT, readLogFile, sayProblem, VERSION } from "@/formats/log-file";

/** A log from a file in the open format; throws where it is not one. */
export function logOf(file: object): WholeLog {
  const read = readLogFile(JSON.stringify({ format: FORMAT, version: VERSION, ...file }));
  if (!read.ok) throw new Error(read.problems.map(sayProblem).join("\n"));
  return read.log;
}

const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined });

const few = <T>(values: readonly T[]) => fc.uniqueArray(fc.constantFrom(...values), { maxLength: 2 });

/** Any mark of a thing that stays: what is lost or worn out can't be carried on. */
export const anyMark = fc.record(
  {
    use: fc.constantFrom(...Use.options),
    troubles: few(Trouble.options),
    symptoms: few(Symptom.options),
    complaints: fc.array(
      fc.record({
        what: fc.constantFrom(...ComplaintWhat.options),
        on: fc.option(fc.constantFrom("rain", "rock")),
      }),
      { maxLength: 2 },
    ),
    exit: fc.option(fc.record({ how: fc.constantFrom("sent home", "posted ahead"), for: fc.constant(null) })),
    why: maybe(fc.constantFrom(...WhyUnused.options)),
    cause: maybe(fc.constantFrom(...Cause.options)),
    at: fc.option(fc.record({ leg: fc.constant("leg-1"), distance: fc.constant("12 km") })),
    fix: maybe(fc.constantFrom("patched", "swapped", "went without")),
    cost: maybe(fc.constantFrom("nothing", "discomfort", "a day", "the trip")),
    condition: maybe(fc.integer({ min: 0, max: 5 })),
    reading: maybe(
      fc.record({ what: fc.constantFrom("tread", "flow", "loft"), value: fc.integer({ min: 0, max: 100 }) }),
    ),
    days: maybe(fc.integer({ min: 0, max: 10 })),
    pieces: maybe(fc.integer({ min: 0, max: 3 })),
    enough: maybe(fc.integer({ min: 0, max: 4 })),
    left: maybe(fc.constantFrom(0, 0.25, 1)),
    frost: maybe(fc.constantFrom(...Frost.options)),
    call: maybe(fc.constantFrom(...OwnerCall.options)),
    where: maybe(fc.constantFrom("", "at the ford")),
    note: maybe(fc.string({ maxLength: 12 })),
  },
  { requiredKeys: ["use"] },
);

const markOf = (item: string) => anyMark.map((mark) => ({ ...mark, item }));

const strengths = fc.dictionary(
  fc.constantFrom("rain", "cold", "freezing", "heat", "sun", "bugs", "snow or ice", "wind", "dry stretch"),
  fc.constantFrom(...Strength.options),
  { maxKeys: 6 },
);

/** Files of a few items of any kind on up to eight trips with any marks. */
export const anyFile = fc
  .array(
    fc.record({
      kind: fc.constantFrom(...KINDS.map(({ id }) => id)),
      weight: maybe(fc.integer({ min: 1, max: 3000 }).map((g) => `${g} g`)),
      consequence: maybe(fc.constantFrom(...Consequence.options)),
      cover: maybe(fc.boolean()),
      price: maybe(fc.integer({ min: 1, max: 500 })),
      pieces: maybe(fc.integer({ min: 1, max: 8 })),
      slot: maybe(fc.constantFrom("feet", "light")),
      needs: maybe(fc.nat({ max: 5 })),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .chain((kinds) => {
    const items = kinds.map(({ needs, ...item }, n) => ({
      ...item,
      id: `i${n}`,
      name: `${item.kind} ${n}`,
      needs: needs === undefined || needs >= kinds.length || needs === n ? [] : [`i${needs}`],
    }));
    const trips = fc.array(
      fc.record({
        days: fc.integer({ min: 1, max: 40 }),
        pace: fc.integer({ min: 0, max: 45 }),
        cut: fc.boolean(),
        conditions: strengths,
        marks: fc.tuple(...items.map(({ id }) => maybe(markOf(id)))),
      }),
      { maxLength: 8 },
    );
    return trips.map((walked) => {
      let day = Date.UTC(2023, 2, 1);
      return {
        items,
        trips: walked.map(({ days, pace, cut, conditions, marks }, n) => {
          const starts = new Date(day).toISOString().slice(0, 10);
          const ends = new Date(day + (days - 1) * 86_400_000).toISOString().slice(0, 10);
          day += (days + 5) * 86_400_000;
          return {
            id: `t${n}`,
            name: `Trip ${n}`,
            starts,
            ends,
            distance: `${pace * days} km`,
            cut,
            conditions,
            marks: marks.filter((mark) => mark !== undefined),
          };
        }),
      };
    });
  });
