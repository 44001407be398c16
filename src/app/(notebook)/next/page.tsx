import type { Metadata } from "next";
import Link from "next/link";
import { TripId, type Trip } from "@/core/model";
import { planFor, type Plan } from "@/core/plan/plan";
import { weighed } from "@/core/plan/weighed";
import { onSomeLegs, stagesOf } from "@/core/plan/stages";
import { sayGap, sayOnSomeLegs, sayShort, sayWearingOut, sayWhy } from "@/core/plan/words";
import { saysToAdd } from "@/core/say/says-to-add";
import { sayAmount } from "@/core/say/supplies";
import {
  count,
  percent,
  sayDays,
  sayDistance,
  sayMass,
  sayTemperature,
  type Units,
} from "@/core/units/speak";
import { sleepOf } from "@/core/weighin/sleep";
import { cansOf, cansFor, ENOUGH, supplyUses } from "@/core/weighin/supplies";
import { countsAs } from "@/core/weighin/weigh-in";
import { PageHead } from "@/ui/page/page-head";
import { tripPath } from "@/ui/paths";
import { readBook } from "@/app/book";
import { keptWith } from "@/app/reading";
import { BestList } from "./best-list";
import { PlanBoard } from "./plan-board";
import { PlanPath } from "./plan-path";
import { OnSomeLegsList } from "./some-legs";

export const metadata: Metadata = { title: "Next trip" };

/** All is judged anew for each trip that is planned: once, and kept with the reading. */
const plansOf = keptWith(async ({ book }) => {
  const plans = new Map<TripId | undefined, Plan>();
  return (trip: Trip | null): Plan => {
    const plan = plans.get(trip?.id) ?? planFor(book, trip);
    plans.set(trip?.id, plan);
    return plan;
  };
});

/** What to take on the trip ahead: the one planned, or one as usual. */
export default async function NextPage({ searchParams }: { searchParams: Promise<{ trip?: string }> }) {
  const reading = await readBook();
  const { log, book } = reading;
  const { units } = book.settings;
  const planned = log.trips
    .filter(({ planned: isPlan, starts, ends }) => (isPlan || starts > book.today) && ends >= book.today)
    .toSorted((a, b) => (a.starts < b.starts ? -1 : 1));
  const asked = TripId.safeParse((await searchParams).trip).data;
  const trip = planned.find(({ id }) => id === asked) ?? planned[0] ?? null;
  const plan = (await plansOf(reading))(trip);
  const some = trip ? onSomeLegs(plan, trip) : [];
  const stages = trip ? stagesOf(plan, trip, some) : [];
  const pack = plan.lines.find(({ item, column }) => item.kind === "pack" && column !== "leave")?.item;
  return (
    <>
      <PageHead
        title={trip ? trip.name : "Next trip"}
        actions={
          <>
            {trip && (
              <Link prefetch={false} href={`${tripPath(trip.id)}/edit`} className="btn">
                Say what it will be like
              </Link>
            )}
            <Link href="/ready" prefetch={false} className="btn">
              Ready?
            </Link>
            <Link href="/trips/new?planned" className={`btn ${trip ? "" : "btn-leaf"}`}>
              Plan {trip ? "another" : "a trip"}
            </Link>
          </>
        }
      >
        {trip ? sayDays(trip.starts, trip.ends) : "None is planned: this is for one as usual"},{" "}
        {sayDistance(plan.next.metres, units)}, {count(Math.round(plan.next.nights), "night")}
        {trip && trip.foreseen.low !== null && `, down to ${sayTemperature(trip.foreseen.low, units)}`}
      </PageHead>
      {planned.length > 1 && (
        <p
          className="no-print mb-3 flex flex-wrap gap-x-4 border-b border-rule pb-2"
          role="group"
          aria-label="Which trip"
        >
          {planned.map((each) => (
            <Link
              key={each.id}
              prefetch={false}
              href={`/next?${new URLSearchParams({ trip: each.id })}`}
              aria-current={each === trip ? "page" : undefined}
              className={each === trip ? "font-bold" : "link"}
            >
              {each.name}
            </Link>
          ))}
        </p>
      )}
      <First plan={plan} />
      {trip && stages.length > 0 && (
        <PlanPath
          stages={stages}
          weak={plan.wearingOut.map((one) => ({
            id: one.line.item.id,
            name: one.line.item.name,
            metres: one.metres,
            words: sayWearingOut(one, units),
          }))}
          units={units}
        />
      )}
      {book.items.length === 0 ? (
        <p className="max-w-xl text-muted">
          Put things on the shelf and enter a trip: what to take on the next then stands here.
        </p>
      ) : (
        <PlanBoard
          trip={trip?.id ?? null}
          lines={plan.lines.map((line) => ({
            id: line.item.id,
            name: line.item.name,
            stow: line.item.stow,
            grams: line.advice.grams,
            counts: countsAs(line.item),
            column: line.column,
            own: line.own,
            why: sayWhy(line),
            chance: line.chance,
            dead: line.item.cover ? 0 : (line.advice.grams ?? 0) * (1 - line.chance) * plan.next.metres,
          }))}
          last={plan.lastLoad}
          limit={pack?.ratings.comfortableLoad?.g ?? null}
          listed={trip?.carries.map(({ item }) => item) ?? []}
          units={units}
        />
      )}
      <div className="mt-8 grid gap-8 lg:grid-cols-2">
        <section>
          <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">What may wear out on the way</h2>
          {plan.wearingOut.length === 0 ? (
            <p className="text-muted">Nothing with a chance of more than one in ten.</p>
          ) : (
            <ul>
              {plan.wearingOut.map((one) => (
                <li key={one.line.item.id} className="border-b border-rule py-1">
                  {sayWearingOut(one, units)}
                </li>
              ))}
            </ul>
          )}
        </section>
        {trip && some.length > 0 && (
          <section>
            <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">On some legs only</h2>
            <OnSomeLegsList
              trip={trip.id}
              metres={plan.next.metres}
              things={some.map((one) => {
                const { item } = one.line;
                const carry = trip.carries.find((each) => each.item === item.id);
                const wanted = one.legs.map((n) => trip.legs[n]!.id);
                return {
                  item: item.id,
                  name: item.name,
                  says: sayOnSomeLegs(one, units),
                  from: stages[one.legs[0]!]!.from,
                  to: stages[one.legs.at(-1)!]!.to,
                  listed: carry !== undefined,
                  only: carry?.legs?.join() === wanted.join(),
                };
              })}
            />
          </section>
        )}
        <HowMuch plan={plan} trip={trip} units={units} />
        {trip && (
          <BestList
            trip={trip.id}
            things={weighed(plan)}
            litres={pack?.ratings.volume ?? null}
            units={units}
          />
        )}
        <WarmEnough plan={plan} trip={trip} units={units} />
        {plan.toAdd.length > 0 && (
          <section>
            <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">Missing</h2>
            <ul>
              {plan.toAdd.map((addition) => (
                <li key={addition.what} className="border-b border-rule py-1">
                  <b>{addition.what}</b> {saysToAdd(addition, book)}
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <p className="hint mt-8 max-w-3xl">
        This list advises; you decide. It is no substitute for local rules, forecasts on the day, or training.
        Leave word of where you go.
      </p>
    </>
  );
}

/** What stands first: jobs with nothing trusted, and what counts one short. */
function First({ plan: { gaps, short } }: { plan: Plan }) {
  if (gaps.length + short.length === 0) return null;
  return (
    <ul className="mb-5 max-w-4xl border-l-4 border-sting pl-4">
      {gaps.map((gap) => (
        <li key={gap.job} className="py-0.5 font-semibold">
          {sayGap(gap)}
        </li>
      ))}
      {short.map((one) => (
        <li key={one.what + one.item.id} className="py-0.5">
          {sayShort(one)}
        </li>
      ))}
    </ul>
  );
}

/** Fuel, food, power and water by the owner's own rates, enough nine times in ten. */
function HowMuch({
  plan: {
    kit: { book },
    next,
  },
  trip,
  units,
}: {
  plan: Plan;
  trip: Trip | null;
  units: Units;
}) {
  const uses = supplyUses(book);
  const of = (sort: string, over: string, unit: string) =>
    uses.find(({ rule }) => rule.sort === sort && rule.over === over && rule.unit === unit)!;
  const enough = (use: (typeof uses)[number], length: number) => use.rate.enoughFor(ENOUGH) * length;
  const gas = enough(of("fuel", "night", "g"), next.nights);
  const stretch = Math.min(next.days, trip?.foreseen.resupply ?? next.days);
  const cans = cansFor(gas, cansOf(book.items));
  const dry = (trip?.foreseen.dry?.m ?? 0) / 1000;
  const bank = book.items.find(
    ({ kind, state, ratings }) => kind === "power bank" && state === "active" && ratings.wattHours,
  );
  const power = enough(of("power", "day", "Wh"), next.days);
  const asked = new URLSearchParams({ nights: String(Math.round(next.nights)) });
  return (
    <section>
      <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">How much</h2>
      <p className="hint">Enough on nine trips in ten, by your own use where your trips tell it.</p>
      <dl className="grid grid-cols-[7rem_1fr] gap-x-3 gap-y-1">
        {next.nights > 0 && (
          <>
            <dt className="text-muted">gas</dt>
            <dd>
              {sayAmount(gas, "g", units)}
              {cans &&
                `: ${cans.map(({ name, left }) => `${name}, ${sayMass(left, units)} in it`).join("; ")}`}
            </dd>
          </>
        )}
        <dt className="text-muted">food</dt>
        <dd>
          {sayAmount(enough(of("food", "day", "g"), stretch), "g", units)}
          {stretch < next.days && `, from shop to shop (${count(stretch, "day")})`}
        </dd>
        <dt className="text-muted">power</dt>
        <dd>
          {sayAmount(power, "Wh", units)}
          {bank &&
            (bank.ratings.wattHours! > 2 * power
              ? `: ${bank.name} holds more than twice that`
              : bank.ratings.wattHours! < power
                ? `: more than ${bank.name} holds (${sayAmount(bank.ratings.wattHours!, "Wh", units)})`
                : `: ${bank.name} holds enough`)}
        </dd>
        <dt className="text-muted">water</dt>
        <dd>
          {dry > 0
            ? `${sayAmount(enough(of("water", "km", "L"), dry), "L", units)} for the longest dry stretch`
            : "say how long the longest dry stretch is, and it is sized"}
        </dd>
      </dl>
      <p className="no-print mt-1">
        <Link prefetch={false} href={`/trips/supplies?${asked}`} className="link">
          Where these come from
        </Link>
      </p>
    </section>
  );
}

/** The bed that goes, against the coldest night expected. */
function WarmEnough({ plan, trip, units }: { plan: Plan; trip: Trip | null; units: Units }) {
  const low = trip?.foreseen.low ?? null;
  const beds = sleepOf(plan.kit.book).filter(({ bed }) => bed.state === "active");
  const goes = beds.find(({ bed }) =>
    plan.lines.some(({ item, column }) => item === bed && column !== "leave"),
  );
  return (
    <section>
      <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">Warm enough?</h2>
      {!goes && <p className="text-muted">No bed goes along.</p>}
      {goes && low === null && (
        <p className="text-muted">Say the coldest night expected, and {goes.bed.name} is held against it.</p>
      )}
      {goes && low !== null && (
        <>
          <p>
            {goes.bed.name} at {sayTemperature(low, units)}: <b>{percent(goes.plain.coldAt(low))}</b> for a
            cold night in nothing but itself, {percent(goes.plain.coolAt(low))} for a cool one or colder.
          </p>
          {goes.setups
            .filter(({ extras }) => extras.some(({ jobs }) => !jobs.includes("pad")))
            .map(({ extras, comfort }) => (
              <p key={extras.map(({ id }) => id).join()} className="text-sm">
                With {extras.map(({ name }) => name).join(", ")}: {percent(comfort.coldAt(low))}.
              </p>
            ))}
        </>
      )}
      <p className="no-print mt-1">
        <Link
          prefetch={false}
          href={`/trips/nights${goes ? `?${new URLSearchParams({ bed: goes.bed.id })}` : ""}`}
          className="link"
        >
          Every night in it
        </Link>
      </p>
    </section>
  );
}
