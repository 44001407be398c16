import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { seeded } from "../../tests/seeded";
import { ATTACKS, start, type Target } from "./attacks";

/** What came of an attack, all rounds together. */
export interface Outcome {
  readonly name: string;
  rounds: number;
  tries: number;
  readonly faults: string[];
}

/**
 * Runs every attack in turn, again and again, for so many seconds: each at least once.
 *
 * @param snapshot of the demo's database, to start from
 * @param toFirst end as soon as one fault is found
 */
export async function attackFor(
  seconds: number,
  seed: number,
  snapshot: string,
  { toFirst = false } = {},
): Promise<Outcome[]> {
  const random = seeded(seed);
  const target = { folder: await mkdtemp(path.join(tmpdir(), "nettle-hostile-")) } as Target;
  const outcomes = new Map(
    ATTACKS.map(([name]): [string, Outcome] => [name, { name, rounds: 0, tries: 0, faults: [] }]),
  );
  const ends = Date.now() + seconds * 1000;
  const isOver = () =>
    (Date.now() >= ends && [...outcomes.values()].every(({ rounds }) => rounds > 0)) ||
    (toFirst && [...outcomes.values()].some(({ faults }) => faults.length > 0));
  try {
    await start(target, snapshot);
    for (let n = 0; !isOver(); n += 1) {
      const [name, attack] = ATTACKS[n % ATTACKS.length]!;
      const outcome = outcomes.get(name)!;
      if (Date.now() >= ends && outcome.rounds > 0) continue;
      const { tries, faults } = await attack(target, random);
      outcome.rounds += 1;
      outcome.tries += tries;
      outcome.faults.push(...faults);
    }
  } finally {
    target.child?.kill("SIGKILL");
    await rm(target.folder, { recursive: true, force: true });
  }
  return [...outcomes.values()];
}
