import Link from "next/link";
import { RetireButton } from "@/app/(notebook)/shelf/retire-button";
import type { Advice } from "@/core/advice/advise";
import type { Kit } from "@/core/advice/kit";
import { predecessorOf } from "@/core/compare/how-long";
import type { Book } from "@/core/ledger/book";
import type { ItemId } from "@/core/model";
import type { FullItem } from "@/core/trade/full-item";
import { sayItsLife } from "@/core/say/served";
import { isBed } from "@/core/trade/warmth";
import { sayMass, type Units } from "@/core/units/speak";
import { PageHead } from "@/ui/page/page-head";
import { itemPath } from "@/ui/paths";
import { STOW_NAMES } from "@/ui/sheet/arrange";

/** What it is, what it weighs and where it rides; and what one may do with it. */
export function ItemHead({ advice, kit }: { advice: Advice; kit: Kit }) {
  const { item, state, book } = advice.case;
  const { units } = book.settings;
  const beside = [item.id, ...besideOf(item, book)].map((of) => ["of", of]);
  return (
    <PageHead
      title={item.name}
      actions={
        <>
          {isBed(item.kind) && (
            <Link
              prefetch={false}
              href={`/trips/nights?${new URLSearchParams({ bed: item.id })}`}
              className="btn"
            >
              Nights in it
            </Link>
          )}
          <Link prefetch={false} href={`/shelf/beside?${new URLSearchParams(beside)}`} className="btn">
            Side by side
          </Link>
          <Link prefetch={false} href={`${itemPath(item.id)}/edit`} className="btn">
            Edit
          </Link>
          <RetireButton id={item.id} name={item.name} state={item.state} className="btn" />
        </>
      }
    >
      {[
        item.kind,
        sayWeighed(advice, units),
        STOW_NAMES[item.stow].toLowerCase(),
        item.owner && `${item.owner}’s`,
        item.lentTo && `${item.lentTo} has it`,
        state === "active" ? "" : state,
      ]
        .concat(sayItsLife(advice, predecessorOf(advice, kit), units))
        .filter(Boolean)
        .join(" · ")}
    </PageHead>
  );
}

/** What it weighs now, of what it weighed whole, and who says so. */
function sayWeighed({ grams, case: { item } }: Advice, units: Units): string {
  if (grams === null || !item.weight) return "not weighed";
  const whole = grams < item.weight.g ? ` of ${sayMass(item.weight.g, units)}` : "";
  return sayMass(grams, units) + whole + (item.weights.at(-1)?.how === "claimed" ? " claimed" : "");
}

/** What it is best set beside: the one before it in its slot, else another of its kind. */
function besideOf({ id, slot, kind }: FullItem, { items }: Book): ItemId[] {
  const others = items.filter((other) => other.id !== id && other.owner === null);
  const slotMates = slot === null ? [] : others.filter((other) => other.slot === slot);
  const alike = others.filter((other) => other.kind === kind && kind !== "other");
  return [...slotMates, ...alike].slice(-1).map((other) => other.id);
}
