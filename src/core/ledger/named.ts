import type { ItemId, Log } from "../model";

/** Where a thing is spoken of, of which nothing was carried: "on The first weekend", "by Tent"; null where nowhere. */
export function namedAt({ trips, items, entries, rulings, tasks, kits }: Log, id: ItemId): string | null {
  const trip = trips.find(
    ({ made, stay, felt, picks, carries }) =>
      [...made, ...stay, ...felt.flatMap(({ slept }) => slept)].includes(id) ||
      picks[id] !== undefined ||
      carries.some(({ mark }) => mark?.exit?.for === id),
  );
  if (trip) return `on ${trip.name}`;
  const item = items.find(({ bag, needs, instead }) => bag === id || instead === id || needs.includes(id));
  if (item) return `by ${item.name}`;
  const task = tasks.find((each) => each.item === id);
  if (task) return `in the job “${task.what}”`;
  const kit = kits.find((each) => each.items.includes(id));
  if (kit) return `in the kit “${kit.name}”`;
  return [...entries, ...rulings].some((each) => each.item === id) ? "in what was logged of it" : null;
}
