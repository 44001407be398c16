import { carriedAfterExit, sayAfterExit } from "@/core/ledger/check/check";
import { ItemId, Settings } from "@/core/model";
import { carriesOf } from "./carries";
import type { Db } from "../db";
import { findItem } from "./items";
import { Refused } from "../refused";
import { allTrips } from "./trips";

/**
 * Looks at things whose marks, or whose trips' days, were changed within a transaction.
 *
 * @throws Refused if one is marked on a trip after it had left on another
 */
export async function refuseAfterExit(db: Db, items: readonly ItemId[]): Promise<void> {
  // Few things ever leave: most need no more than this.
  const { rows } = await db.query(
    "select distinct item from carry where item = any ($1) and exit is not null",
    [items],
  );
  if (rows.length === 0) return;
  const heads = await allTrips(db);
  for (const row of rows) {
    const id = ItemId.parse(row.item);
    const item = await findItem(db, id);
    const carries = new Map((await carriesOf(db, { item: id })).map((carry) => [carry.trip, carry]));
    const trips = heads.flatMap((head) => {
      const carry = carries.get(head.id);
      return carry ? [{ ...head, carries: [carry] }] : [];
    });
    const [wrong] = item ? carriedAfterExit({ settings: Settings.parse({}), items: [item], trips }) : [];
    if (wrong) throw new Refused(`${sayAfterExit(wrong)} Change the one mark or the other.`);
  }
}
