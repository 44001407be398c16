import { z } from "zod";
import { ItemId, TripId } from "@/core/model";
import { legName, sayMark } from "@/core/say/walk/mark";
import { carriesOf } from "@/data/records/carries";
import { store } from "@/data/connection";
import { allItems } from "@/data/records/items";
import { readSettings } from "@/data/records/settings";
import { findTrip } from "@/data/records/trips";

const Asked = z.object({ item: ItemId, trip: TripId });

/**
 * All that a mark says, in words (`?item=…&trip=…`): asked for the one cell that is looked at, as a sheet has
 * thousands.
 */
export async function GET(request: Request): Promise<Response> {
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return Response.json({ why: "Ask for an item and a trip." }, { status: 400 });
  const { item, trip } = asked.data;
  const db = await store();
  const known = await findTrip(db, trip);
  const mark = (await carriesOf(db, { trip })).find((carry) => carry.item === item)?.mark;
  if (!known || !mark) return Response.json({ says: [] });
  const { units } = await readSettings(db);
  const named = new Map((await allItems(db)).map(({ id, name }) => [id, name]));
  const names = {
    item: (id: ItemId) => named.get(id) ?? "something else",
    leg: (id: string) => legName(known.legs, id),
  };
  return Response.json({ says: sayMark(mark, units, names) });
}
