import { nanoid } from "nanoid";
import { z } from "zod";
import { intoDebrief } from "@/core/hear/taken/into-debrief";
import { tripProblems } from "@/core/ledger/check/check";
import { Carry, Entry, HeardFact, ItemId, RecordId, TripHead, type LegId } from "@/core/model";
import { Text } from "@/core/units/text";
import type { Db } from "@/data/db";
import { carriesOf, removeCarries, saveCarries } from "@/data/records/carries";
import { removeEntry, saveEntries } from "@/data/records/entries";
import { refuseAfterExit } from "@/data/records/exits";
import { removeItem } from "@/data/records/items";
import { saveTrips } from "@/data/records/trips";
import { refuse, whatIsWrong, type Answer } from "@/ui/form/answer";
import { join } from "../../join";

/** What taking a line did, to take all of it back: the trip and the marks as they were, and what was added. */
export const Undo = z.object({
  trip: TripHead.pick({ felt: true, boiled: true, missed: true, supplies: true, made: true, stay: true }),
  carries: z.array(z.object({ item: ItemId, before: Carry.nullable() })).max(300),
  items: z.array(ItemId).max(50),
  entries: z.array(RecordId).max(300),
});
export type Taken = z.input<typeof Undo>;

/** What the owner took of what was heard of a whole debrief, each with the sentence that it stands on. */
export const HeardOf = z
  .array(z.object({ fact: HeardFact, text: Text.max(2000) }))
  .min(1)
  .max(600);

/** Takes facts into the debrief of a trip. */
export async function take(
  tx: Db,
  known: TripHead,
  facts: z.infer<typeof HeardOf>,
  on: string | null,
): Promise<Answer<Taken>> {
  const carries = await carriesOf(tx, { trip: known.id });
  const told = intoDebrief(facts, { trip: known, carries }, on);
  const next = { ...known, ...told.trip };
  const [problem] = tripProblems(next);
  if (problem) return refuse({ "": problem.message });
  const added: ItemId[] = [];
  for (const { how, what, for: after, from } of told.joined) {
    const answer = await join(
      tx,
      known,
      {
        line: what,
        how: how === "given" ? "found" : how,
        owner: how === "borrowed" ? from : null,
        from: legOn(known, on),
        after,
      },
      on,
    );
    if (!answer.ok) return refuse({ "": whatIsWrong(answer) });
    added.push(answer.value);
  }
  await saveTrips(tx, [next]);
  const there = new Map(carries.map((carry) => [carry.item, carry]));
  const changed = [...new Set([...told.marks.keys(), ...told.shared.keys()])];
  await saveCarries(
    tx,
    known.id,
    changed.map((item) => {
      const was = there.get(item);
      return {
        item,
        legs: was?.legs ?? null,
        shared: told.shared.get(item) ?? was?.shared ?? null,
        mark: told.marks.get(item) ?? was?.mark ?? null,
      };
    }),
  );
  const entries = told.done.map(({ item, what, text }) =>
    Entry.parse({ id: nanoid(), item, on: on ?? known.ends, what, note: text }),
  );
  await saveEntries(tx, entries);
  await refuseAfterExit(tx, [...told.marks.keys()]);
  return {
    ok: true,
    value: {
      trip: Undo.shape.trip.encode(known),
      carries: changed.map((item) => {
        const before = there.get(item);
        return { item, before: before ? Carry.encode(before) : null };
      }),
      items: added,
      entries: entries.map((entry) => entry.id),
    },
  };
}

/** All that taking did is taken back. */
export async function takeBack(tx: Db, known: TripHead, back: z.infer<typeof Undo>): Promise<void> {
  await saveTrips(tx, [{ ...known, ...back.trip }]);
  await saveCarries(
    tx,
    known.id,
    back.carries.flatMap(({ before }) => before ?? []),
  );
  await removeCarries(tx, known.id, [
    ...back.carries.flatMap(({ item, before }) => (before ? [] : [item])),
    ...back.items,
  ]);
  for (const entry of back.entries) await removeEntry(tx, entry);
  for (const item of back.items) await removeItem(tx, item);
}

/** The leg that a day lies on, where its legs have dates; null: all the way. */
const legOn = ({ legs }: TripHead, on: string | null): LegId | null =>
  (on !== null &&
    legs.find(({ starts, ends }) => starts !== null && ends !== null && starts <= on && on <= ends)?.id) ||
  null;
