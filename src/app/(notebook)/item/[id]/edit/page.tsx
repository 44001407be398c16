import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { Item, ItemId } from "@/core/model";
import { KINDS } from "@/core/trade/kinds";
import { store } from "@/data/connection";
import { findItem } from "@/data/records/items";
import { PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { ItemForm } from "./item-form";
import { idIn } from "@/app/id-in";

export const metadata: Metadata = { title: "Edit a thing" };

export default async function EditItemPage({ params }: { params: Promise<{ id: string }> }) {
  const id = idIn(ItemId, (await params).id);
  const item = await findItem(await store(), id);
  if (!item) notFound();
  const { book } = await readBook();
  const others = book.items
    .filter((other) => other.id !== id && other.state === "active")
    .map(({ id: value, name }) => [value, name] as const);
  return (
    <>
      <PageHead title={`Edit ${item.name}`}>What you leave blank is as its kind has it.</PageHead>
      <ItemForm
        item={Item.encode(item)}
        units={book.settings.units}
        currency={book.settings.currency}
        things={others}
        bags={others}
        kinds={KINDS.map(({ id: kind, stow, load, cover, consequence, triggers, jobs }) => ({
          id: kind,
          stow,
          load,
          cover,
          consequence,
          triggers,
          jobs,
        }))}
      />
    </>
  );
}
