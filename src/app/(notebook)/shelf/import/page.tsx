import type { Metadata } from "next";
import { PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { ImportList } from "./import-list";

export const metadata: Metadata = { title: "Import a list" };

export default async function ImportPage() {
  const { book } = await readBook();
  return (
    <>
      <PageHead title="Import a list">
        A table saved as CSV, its columns in any order. You see what it comes to before anything is kept.
      </PageHead>
      <ImportList
        owned={book.items.map((item) => item.name.toLowerCase())}
        unit={book.settings.units.weight}
      />
    </>
  );
}
