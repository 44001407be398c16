import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { Slip } from "@/app/(notebook)/verdicts/slip/slip";
import { slipOf } from "@/app/(notebook)/verdicts/slip/slip-data";
import { readBook } from "@/app/book";
import { idIn } from "@/app/id-in";
import { ItemId } from "@/core/model";
import { sayCalls } from "@/core/say/words";
import { CONDITION } from "@/core/trade/kind";
import { EntryForm } from "./sections/entry-form";
import { Figures } from "./sections/figures";
import { History } from "./sections/history";
import { ItemHead } from "./sections/item-head";
import { Parts } from "./sections/parts";
import { partsOf } from "./sections/parts-of";
import { Slot } from "./sections/slot";
import { Strokes } from "./sections/strokes";
import { Wear } from "./sections/wear";

interface Asked {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ trip?: string }>;
}

export async function generateMetadata({ params }: Pick<Asked, "params">): Promise<Metadata> {
  const id = idIn(ItemId, (await params).id);
  return { title: (await readBook()).book.item(id)?.name };
}

export default async function ItemPage({ params, searchParams }: Asked) {
  const id = idIn(ItemId, (await params).id);
  const { trip: lit } = await searchParams;
  const { book, kit } = await readBook();
  const advice = kit.of(id);
  if (!advice) notFound();
  const { item } = advice.case;
  const others = book.items.filter((other) => other.state === "active" && other.id !== id);
  return (
    <>
      <ItemHead advice={advice} kit={kit} />
      <Strokes advice={advice} lit={lit} />
      <div className="mb-2">
        {advice.verdicts.map((verdict) => (
          <Slip key={verdict.verb} slip={slipOf({ advice, verdict })} heading={false} />
        ))}
      </div>
      <Figures advice={advice} />
      <Wear advice={advice} kit={kit} />
      <div className="grid gap-10 lg:grid-cols-[1.4fr_1fr]">
        <History advice={advice} />
        <section className="space-y-6">
          <EntryForm
            item={id}
            today={book.today}
            units={book.settings.units}
            measure={item.rules.readings.find(({ what }) => what !== CONDITION.what)}
          />
          {item.parts.length > 0 && (
            <Parts
              item={id}
              parts={partsOf(advice)}
              today={book.today}
              others={others.map((other) => [other.id, other.name] as const)}
            />
          )}
          <Slot advice={advice} kit={kit} />
          <p className="text-sm text-muted">{sayCalls(advice)}</p>
          {item.note && <p>{item.note}</p>}
        </section>
      </div>
    </>
  );
}
