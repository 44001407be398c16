import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import type { Book } from "@/core/ledger/book";
import type { FullItem } from "@/core/trade/full-item";
import { CONDITION } from "@/core/trade/kind";
import { isBed } from "@/core/trade/warmth";
import { ItemId, type Trip } from "@/core/model";
import { count, sayDeadWeight, sayDistance, sayMass, sayDay } from "@/core/units/speak";
import { legName, sayMark } from "@/core/say/mark";
import { sayCalls, sayLeftOf, sayWear, wearNumber, wearUnitName } from "@/core/say/words";
import { RetireButton } from "@/app/(notebook)/shelf/retire-button";
import { Slip } from "@/app/(notebook)/verdicts/slip";
import { slipOf } from "@/app/(notebook)/verdicts/slip-data";
import { Figure } from "@/ui/figure";
import { PageHead } from "@/ui/page-head";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { Stroke, STROKES } from "@/ui/stroke";
import { strokeOf } from "@/ui/stroke-code";
import { readBook } from "@/app/book";
import { EntryForm } from "./entry-form";
import { Parts } from "./parts";
import { RemoveEntry } from "./remove-entry";
import { WearChart, type WearPoint } from "./wear-chart";
import { itemPath, tripPath } from "@/ui/paths";
import { idIn } from "@/app/id-in";

interface Asked {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ trip?: string }>;
}

export async function generateMetadata({ params }: Pick<Asked, "params">): Promise<Metadata> {
  const id = idIn(ItemId, (await params).id);
  return { title: (await readBook()).book.item(id)?.name };
}

/** What it is best set beside: the one before it in its slot, else another of its kind. */
function besideOf({ id, slot, kind }: FullItem, { items }: Pick<Book, "items">): ItemId[] {
  const others = items.filter((other) => other.id !== id && other.owner === null);
  const slotMates = slot === null ? [] : others.filter((other) => other.slot === slot);
  const alike = others.filter((other) => other.kind === kind && kind !== "other");
  return [...slotMates, ...alike].slice(-1).map((other) => other.id);
}

export default async function ItemPage({ params, searchParams }: Asked) {
  const id = idIn(ItemId, (await params).id);
  const { trip: lit } = await searchParams;
  const { book, kit } = await readBook();
  const advice = kit.of(id);
  if (!advice) notFound();
  const {
    item,
    state,
    totals,
    book: { carriedOf, entriesOf },
  } = advice.case;
  const { left } = advice;
  const { units, currency } = book.settings;
  const say = (wear: number) => sayWear(wear, item.wears, units);
  const inUnit = (wear: number) => wearNumber(wear, item.wears, units);
  const carried = carriedOf(id);
  const entries = entriesOf(id);
  const holders = item.slot ? book.items.filter((other) => other.slot === item.slot && other.id !== id) : [];
  /** What those of the slot came to that wore out, itself among them. */
  const lasted = kit.things
    .filter(
      ({ case: one }) =>
        item.slot !== null && one.item.slot === item.slot && one.departure?.how === "worn out",
    )
    .map(({ case: one }) => one.totals.wear);
  const history = [
    ...carried.map((one) => ({
      on: one.outing.trip.ends,
      key: one.outing.trip.id as string,
      one,
      entry: null,
    })),
    ...entries.map((entry) => ({ on: entry.on, key: entry.id, one: null, entry })),
  ].sort((a, b) => b.on.localeCompare(a.on));
  const namesOn = ({ legs }: Pick<Trip, "legs">) => ({
    item: (other: ItemId) => book.items.find((each) => each.id === other)?.name ?? "something else",
    leg: (leg: string) => legName(legs, leg),
  });
  const cost = (item.price ?? 0) + totals.spent;
  return (
    <>
      <PageHead
        title={item.name}
        actions={
          <>
            {isBed(item.kind) && (
              <Link
                prefetch={false}
                href={`/trips/nights?${new URLSearchParams({ bed: id })}`}
                className="btn"
              >
                Nights in it
              </Link>
            )}
            <Link
              prefetch={false}
              href={`/shelf/beside?${new URLSearchParams([id, ...besideOf(item, book)].map((of) => ["of", of]))}`}
              className="btn"
            >
              Side by side
            </Link>
            <Link prefetch={false} href={`${itemPath(id)}/edit`} className="btn">
              Edit
            </Link>
            <RetireButton id={id} name={item.name} state={item.state} className="btn" />
          </>
        }
      >
        {[
          item.kind,
          advice.grams !== null && item.weight
            ? `${sayMass(advice.grams, units)}${advice.grams < item.weight.g ? ` of ${sayMass(item.weight.g, units)}` : ""}${item.weights.at(-1)?.how === "claimed" ? " claimed" : ""}`
            : "not weighed",
          STOW_NAMES[item.stow].toLowerCase(),
          item.owner ? `${item.owner}’s` : "",
          item.lentTo ? `${item.lentTo} has it` : "",
          state === "active" ? "" : state,
        ]
          .filter(Boolean)
          .join(" · ")}
      </PageHead>
      {carried.length > 0 && (
        <ol
          className="mb-5 flex flex-wrap items-end gap-x-1 border-b border-rule pb-2"
          aria-label="Its strokes, oldest trip first"
        >
          {carried.map((one) => {
            const code = strokeOf(one, item);
            return (
              <li key={one.outing.trip.id}>
                <Link
                  prefetch={false}
                  href={tripPath(one.outing.trip.id)}
                  title={`${one.outing.trip.name}: ${STROKES[code]}`}
                  className={`flex min-h-9 min-w-7 items-end justify-center pb-1 ${one.outing.trip.id === lit ? "bg-catkin" : "hover:bg-leaf-soft"}`}
                >
                  <Stroke code={code} size={24} />
                  <span className="sr-only">
                    {one.outing.trip.name}: {STROKES[code]}
                  </span>
                </Link>
              </li>
            );
          })}
        </ol>
      )}
      <div className="mb-2">
        {advice.verdicts.map((verdict) => (
          <Slip key={verdict.verb} slip={slipOf({ advice, verdict })} heading={false} />
        ))}
      </div>
      <dl className="my-5 grid grid-cols-2 gap-x-8 gap-y-3 sm:grid-cols-4 lg:grid-cols-6">
        <Figure name="used for">{sayDistance(totals.used.metres, units)}</Figure>
        <Figure name="carried for">{sayDistance(totals.carried.metres, units)}</Figure>
        <Figure name="nights used">{Math.round(totals.used.nights)}</Figure>
        <Figure name="trips used">
          {totals.used.trips} of {totals.carried.trips}
        </Figure>
        {totals.deadGramMetres > 0 && (
          <Figure name="carried for nothing">{sayDeadWeight(totals.deadGramMetres, units)}</Figure>
        )}
        {cost > 0 && totals.used.nights >= 1 && (
          <Figure name="costs a night">
            {currency}
            {(cost / totals.used.nights).toFixed(2)}
          </Figure>
        )}
        {cost > 0 && totals.used.metres > 0 && (
          <Figure name={`costs a ${units.distance}`}>
            {currency}
            {(cost / wearNumber(totals.used.metres, "m", units)).toFixed(2)}
          </Figure>
        )}
        {item.past === "unknown" && <Figure name="before the log">unknown</Figure>}
      </dl>
      {left && totals.wear > 0 && (
        <section className="mb-6">
          <h2 className="text-lg">
            Wear{" "}
            <span className="font-sans text-sm font-normal text-muted">
              {say(left.worn)} on it; {sayLeftOf(advice, units)}
            </span>
          </h2>
          <WearChart
            points={wearPoints(advice)}
            low={inUnit(left.worn + left.low)}
            median={inUnit(left.worn + left.median)}
            high={inUnit(left.worn + left.high)}
            next={inUnit(left.worn + left.nextTrip)}
            unit={wearUnitName(item.wears, units)}
            words={
              `Wear by trip, ${say(left.worn)} so far. ` +
              `It most likely ends between ${say(left.worn + left.low)} and ${say(left.worn + left.high)}.`
            }
          />
        </section>
      )}
      <div className="grid gap-10 lg:grid-cols-[1.4fr_1fr]">
        <section>
          <h2 className="border-b-2 border-ink pb-1 text-lg">What happened</h2>
          {history.length === 0 && (
            <p className="py-3 text-muted">Not out yet. Its marks will stand here, newest first.</p>
          )}
          <ul>
            {history.map(({ on, key, one, entry }) => (
              <li key={key} className="flex items-baseline gap-3 border-b border-rule py-1.5">
                <span className="w-40 shrink-0 text-sm text-muted">{sayDay(on)}</span>
                {one && (
                  <>
                    <span className="w-4 shrink-0 self-center">
                      <Stroke code={strokeOf(one, item)} size={18} />
                    </span>
                    <span>
                      <Link
                        prefetch={false}
                        href={tripPath(one.outing.trip.id)}
                        className="font-semibold hover:underline"
                      >
                        {one.outing.trip.name}
                      </Link>{" "}
                      {STROKES[strokeOf(one, item)]}
                      <span className="block text-sm text-muted">
                        {one.mark && sayMark(one.mark, units, namesOn(one.outing.trip)).join("; ")}
                      </span>
                    </span>
                  </>
                )}
                {entry && (
                  <>
                    <span className="w-4 shrink-0 text-center text-stem" aria-hidden="true">
                      ◆
                    </span>
                    <span className="flex-1">
                      <b>{entry.service ?? entry.what}</b>
                      {entry.distance && `, ${sayDistance(entry.distance.m, units)}`}
                      {entry.nights > 0 && `, ${count(entry.nights, "night")}`}
                      {entry.cost ? `, ${currency}${entry.cost}` : ""}
                      <span className="block text-sm text-muted">
                        {[
                          entry.condition !== null ? `condition ${entry.condition} of 5` : "",
                          entry.reading ? `${entry.reading.what} ${entry.reading.value}` : "",
                          entry.note,
                        ]
                          .filter(Boolean)
                          .join("; ")}
                      </span>
                    </span>
                    <RemoveEntry entry={entry} />
                  </>
                )}
              </li>
            ))}
          </ul>
        </section>
        <section className="space-y-6">
          <EntryForm
            item={id}
            today={book.today}
            units={units}
            readings={item.rules.readings
              .filter(({ what }) => what !== CONDITION.what)
              .map(({ what, unit }) => ({ what, unit }))}
          />
          {item.parts.length > 0 && (
            <Parts
              item={id}
              parts={item.parts}
              others={book.items
                .filter((other) => other.state === "active" && other.id !== id)
                .map((other) => [other.id, other.name] as const)}
            />
          )}
          {holders.length > 0 && (
            <div>
              <h2 className="border-b-2 border-ink pb-1 text-lg">Also in the slot “{item.slot}”</h2>
              {lasted.length > 0 && (
                <p className="hint py-1">
                  Worn out in it: {count(lasted.length, "thing")}, after{" "}
                  {lasted.length > 1
                    ? `${say(Math.min(...lasted))} to ${say(Math.max(...lasted))}, ` +
                      `${say(lasted.reduce((sum, wear) => sum + wear, 0) / lasted.length)} on average`
                    : say(lasted[0]!)}
                  .
                </p>
              )}
              <ul>
                {holders.map((other) => {
                  const its = kit.of(other.id)!;
                  return (
                    <li key={other.id} className="flex justify-between border-b border-rule py-1">
                      <Link prefetch={false} href={itemPath(other.id)} className="hover:underline">
                        {other.name}
                      </Link>
                      <span className="num text-muted">
                        {sayWear(its.case.totals.wear, other.wears, units)}, {its.case.state}
                      </span>
                    </li>
                  );
                })}
              </ul>
            </div>
          )}
          <p className="text-sm text-muted">{sayCalls(advice)}</p>
          {item.note && <p>{item.note}</p>}
        </section>
      </div>
    </>
  );

  /** Wear after each trip and entry, with what happened then. */
  function wearPoints({ case: one }: typeof advice & object): WearPoint[] {
    let wear = one.left!.worn - totals.steps.reduce((sum, step) => sum + step.wear, 0);
    return [
      { label: "before", wear: inUnit(wear), trouble: "" },
      ...totals.steps.map(({ carried, entry, wear: added }) => {
        wear += added;
        const trouble = carried?.mark.troubles.find((each) => each !== "nuisance");
        return {
          label: carried ? carried.outing.trip.name : `${entry!.what}, ${sayDay(entry!.on)}`,
          wear: inUnit(wear),
          trouble: trouble ?? (entry?.what === "damage" ? "damaged" : ""),
        };
      }),
    ];
  }
}
