import { readLogFile, sayProblem, FORMAT, VERSION } from "@/formats/log-file";
import { saidOf } from "@/core/advice/said";
import { openBook } from "@/core/ledger/book";
import { planFor } from "@/core/plan/plan";
import { foretoldOf } from "@/core/seasons/foretold";
import type { Log, Trip, WholeLog } from "@/core/model";
import { daysAfter } from "@/core/sums/days";
import { DETAILS, ITEMS, RATINGS, WEIGHINGS, WISHES } from "./gear";
import { tripsAround } from "./ahead";
import { quillTrack } from "./track";
import { ENTRIES, KITS, TASKS, TRIPS } from "./trips";

const USES = { u: "used", h: "hardly", n: "unused" } as const;

/**
 * The demo walker's log. Everything in it is invented: the walker, the islands and the gear.
 *
 * @param today ISO date around which a walk waits to be unpacked and another is planned; left out: only what is long over
 */
export function demoLog(today?: string): WholeLog {
  const owned = ITEMS.map(([name, kind, weight, , more]) => ({
    name,
    kind,
    ...(WEIGHINGS[name] ? { weights: WEIGHINGS[name] } : { weight }),
    ...(RATINGS[name] && { ratings: RATINGS[name] }),
    ...more,
  }));
  const items = [...owned, ...WISHES.map((wish) => ({ state: "wished", ...wish }))];
  const walked = TRIPS.map((trip, t) => ({
    ...trip,
    marks: ITEMS.flatMap(([name, , , strokes]) => {
      const use = strokes[t];
      if (use === "." || use === undefined) return [];
      return [{ item: name, use: USES[use as keyof typeof USES], ...DETAILS[`${name} @ ${trip.name}`] }];
    }),
  }));
  const trips = [...walked, ...(today ? tripsAround(today) : [])];
  const read = readLogFile(
    JSON.stringify({
      format: FORMAT,
      version: VERSION,
      items,
      trips,
      entries: ENTRIES,
      ...(today && { tasks: TASKS }),
      kits: KITS.map(({ from, without, and, ...kit }) => ({
        ...kit,
        items: [...walked.find(({ name }) => name === from)!.marks.map(({ item }) => item), ...and].filter(
          (item) => !without.includes(item),
        ),
      })),
    }),
  );
  if (!read.ok) throw new Error(`demoLog: ${read.problems.map(sayProblem).join("; ")}`);
  const names = new Set(TRIPS.flatMap((trip) => ITEMS.map(([name]) => `${name} @ ${trip.name}`)));
  const stray =
    Object.keys(DETAILS).find((key) => !names.has(key)) ??
    [...Object.keys(RATINGS), ...Object.keys(WEIGHINGS)].find((key) => !ITEMS.some(([name]) => name === key));
  if (stray) throw new Error(`demoLog: nothing for the detail "${stray}"`);
  const quill = read.log.trips.find(({ name }) => name === "The Long Quill")!;
  return { ...withAdvice(read.log), tracks: [{ ...quillTrack(), trip: quill.id }] };
}

/** The coldest night of a walk, °C: this walker's forecasts were right. */
function coldestOf({ felt }: Trip): number | null {
  const lows = felt.flatMap(({ low, roof }) => (low === null || roof ? [] : [low]));
  return lows.length > 0 ? Math.min(...lows) : null;
}

/** What stood there on the eve of each walk, as the app keeps it: judged by what was in the log by then. */
function withAdvice(log: Log): Log {
  const trips = log.trips.toSorted((a, b) => a.starts.localeCompare(b.starts));
  return {
    ...log,
    trips: trips.map((trip, n) => {
      if (trip.planned || n === 0) return trip;
      const eve = daysAfter(trip.starts, -1);
      const items = log.items.map((item) =>
        item.since !== null && item.since > eve ? { ...item, state: "active" as const, since: null } : item,
      );
      const book = openBook({ ...log, items, trips: trips.slice(0, n) }, eve);
      const ahead = { ...trip, planned: true, carries: [], felt: [], missed: [], lines: [] };
      const plan = planFor(book, ahead);
      const said = saidOf(plan.lines.map(({ advice }) => advice));
      return { ...trip, advised: { on: eve, said, foretold: foretoldOf(plan, ahead, coldestOf(trip)) } };
    }),
  };
}
