import { KINDS } from "@/core/trade/kinds";
import type { WholeLog } from "@/core/model";
import { FORMAT, readLogFile, sayProblem, VERSION } from "@/formats/log-file";
import { seeded } from "../tests/seeded";

/** A log of every item on every trip, or a `share` of them, 0 to 1; one mark in twenty with more to say than its use. */
export function madeUpLog(itemCount: number, tripCount: number, share = 1): WholeLog {
  const random = seeded(7);
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!;
  const items = Array.from({ length: itemCount }, (_, n) => {
    const kind = KINDS[n % KINDS.length]!.id;
    return { id: `item-${n}`, name: `${kind} ${n}`, kind, weight: `${Math.round(10 + random() * 600)} g` };
  });
  const start = Date.UTC(2015, 0, 3);
  const day = (n: number) => new Date(start + n * 86_400_000).toISOString().slice(0, 10);
  const trips = Array.from({ length: tripCount }, (_, n) => ({
    id: `trip-${n}`,
    name: `Walk ${n}`,
    starts: day(n * 20),
    ends: day(n * 20 + Math.floor(random() * 9)),
    distance: `${Math.round(10 + random() * 30)} km`,
    terrain: pick(["soft", "mixed", "rock"]),
    conditions: {
      rain: pick(["none", "some", "strong"]),
      cold: pick(["none", "some"]),
      bugs: pick(["none", "some"]),
      sun: pick(["none", "some"]),
    },
    marks: (share < 1 ? items.filter(() => random() < share) : items).map(({ id }) => ({
      item: id,
      use: pick(["used", "used", "used", "hardly", "unused"]),
      ...(random() < 0.05
        ? { troubles: [pick(["nuisance", "damaged"])], condition: 3, note: "something to say" }
        : {}),
    })),
  }));
  const read = readLogFile(JSON.stringify({ format: FORMAT, version: VERSION, items, trips }));
  if (!read.ok) throw new Error(read.problems.slice(0, 3).map(sayProblem).join("; "));
  return read.log;
}
