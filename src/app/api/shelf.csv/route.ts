import { store } from "@/data/connection";
import { allItems } from "@/data/records/items";
import { writeItems } from "@/formats/items-csv";

export async function GET(): Promise<Response> {
  return new Response(writeItems(await allItems(await store())), {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": 'attachment; filename="nettle-tally-shelf.csv"',
    },
  });
}
