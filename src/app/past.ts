import type { Advice } from "@/core/advice/advise";
import { replayer } from "@/core/replay/replay";
import { sayWithout } from "@/core/replay/words";
import { keptWith, type Reading } from "./reading";

/** The owner's past days, opened once for every list that is walked over them. */
export const pastOf = keptWith(async ({ book, kit }) =>
  replayer(book, (thing) => kit.of(thing.id)?.grams ?? thing.weight?.g ?? 0),
);

/**
 * What leaving a thing at home would have come to on them, all else going as it is advised; null where none
 * was walked.
 */
export async function leftAtHome({ case: { item } }: Advice, reading: Reading): Promise<string | null> {
  const { replay } = await pastOf(reading);
  const others = reading.kit.things.filter(
    ({ case: one, leaves }) => one.standing === "active" && one.item !== item && leaves === null,
  );
  return sayWithout(replay(others.map(({ case: one }) => one.item)), item);
}
