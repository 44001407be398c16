import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { readBook } from "@/app/book";
import { idIn } from "@/app/id-in";
import { RecordId } from "@/core/model";
import { sayMonth } from "@/core/plan/kits/kit-words";
import { MONTHS } from "@/core/sums/days";
import { FORESEEN, TRIGGER_RULES } from "@/core/trade/triggers";
import { temperatureText } from "@/core/units/speak";
import { PageHead } from "@/ui/page/page-head";
import { KitForm } from "./kit-form";

interface Asked {
  readonly params: Promise<{ id: string }>;
}

async function kitOf({ params }: Asked) {
  const id = idIn(RecordId, (await params).id);
  const { book, log } = await readBook();
  return { book, kit: log.kits.find((kit) => kit.id === id) };
}

export async function generateMetadata(asked: Asked): Promise<Metadata> {
  return { title: (await kitOf(asked)).kit?.name };
}

/** One kit, to be changed. */
export default async function KitPage(asked: Asked) {
  const { book, kit } = await kitOf(asked);
  if (!kit) notFound();
  const { units } = book.settings;
  const things = book.items
    .filter(({ id, state }) => state === "active" || kit.items.includes(id))
    .toSorted((a, b) => a.name.localeCompare(b.name))
    .map(({ id, name, state }) => ({ id, name: state === "active" ? name : `${name} (gone)` }));
  return (
    <>
      <PageHead title={kit.name}>A kit: what is in it, and what it is for.</PageHead>
      <KitForm
        kit={kit}
        low={kit.low === null ? "" : temperatureText(kit.low, units)}
        things={things}
        months={MONTHS.map((month) => [String(month), sayMonth(month)] as const)}
        weathers={FORESEEN.map((trigger) => [trigger, TRIGGER_RULES[trigger].words] as const)}
        temperature={units.temperature}
      />
    </>
  );
}
