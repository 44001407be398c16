import fc from "fast-check";
import { KINDS } from "@/core/kinds";
import { Cause, Consequence, Strength, Trouble, Use, WhyUnused, type Log } from "@/core/model";
import { FORMAT, readLogFile, sayProblem, VERSION } from "@/formats/log-file";

/** A log from a file in the open format; throws where it is not one. */
export function logOf(file: object): Log {
  const read = readLogFile(JSON.stringify({ format: FORMAT, version: VERSION, ...file }));
  if (!read.ok) throw new Error(read.problems.map(sayProblem).join("\n"));
  return read.log;
}

const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined });
const STAYS = Trouble.options.filter((trouble) =>
  ["nuisance", "damaged", "failed", "sent home"].includes(trouble),
);

const markOf = (item: string) =>
  fc.record(
    {
      item: fc.constant(item),
      use: fc.constantFrom(...Use.options),
      trouble: maybe(fc.constantFrom(...STAYS)),
      why: maybe(fc.constantFrom(...WhyUnused.options)),
      cause: maybe(fc.constantFrom(...Cause.options)),
      condition: maybe(fc.integer({ min: 0, max: 5 })),
      froze: maybe(fc.boolean()),
      note: maybe(fc.string({ maxLength: 12 })),
    },
    { requiredKeys: ["item", "use"] },
  );

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
    }),
    { minLength: 1, maxLength: 6 },
  )
  .chain((kinds) => {
    const items = kinds.map((item, n) => ({ ...item, id: `i${n}`, name: `${item.kind} ${n}` }));
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
