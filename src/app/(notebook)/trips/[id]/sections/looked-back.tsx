import type { Book } from "@/core/ledger/book";
import type { ItemId, Trip } from "@/core/model";

export const nameIn = (book: Book) => (item: ItemId) => book.item(item)?.name ?? item;

/** What made the trip, what could have stayed, what was missed. */
export function LookedBack({ trip: { made, stay, missed }, book }: { trip: Trip; book: Book }) {
  if (made.length + stay.length + missed.length === 0) return null;
  const names = (items: readonly ItemId[]) => items.map(nameIn(book)).join(", ");
  return (
    <>
      <h2 className="mb-1 mt-5 text-lg">Looking back</h2>
      {made.length > 0 && <p>Made the trip: {names(made)}.</p>}
      {stay.length > 0 && <p>Could have stayed: {names(stay)}.</p>}
      {missed.length > 0 && <p>Missed: {missed.map(({ what }) => what).join(", ")}.</p>}
    </>
  );
}
