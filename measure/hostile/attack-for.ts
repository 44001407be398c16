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
 */
export async function attackFor(seconds: number, seed: number, snapshot: string): Promise<Outcome[]> {
  const random = seeded(seed);
  const target = { folder: await mkdtemp(path.join(tmpdir(), "nettle-hostile-")) } as Target;
  const outcomes = ATTACKS.map(([name]): Outcome => ({ name, rounds: 0, tries: 0, faults: [] }));
  const ends = Date.now() + seconds * 1000;
  try {
    await start(target, snapshot);
    do {
      for (const [n, [, attack]] of ATTACKS.entries()) {
        const outcome = outcomes[n]!;
        if (outcome.rounds > 0 && Date.now() >= ends) break;
        const { tries, faults } = await attack(target, random);
        outcome.rounds += 1;
        outcome.tries += tries;
        outcome.faults.push(...faults);
      }
    } while (Date.now() < ends);
  } finally {
    target.child?.kill("SIGKILL");
    await rm(target.folder, { recursive: true, force: true });
  }
  return outcomes;
}
