import type { Metadata } from "next";
import Link from "next/link";
import { readBook } from "@/app/book";
import { plansOf } from "@/app/plans";
import { TripId, type Trip } from "@/core/model";
import type { Plan } from "@/core/plan/plan";
import { plannedSupplies } from "@/core/plan/supplies";
import { onSomeLegs, stagesOf } from "@/core/plan/stages";
import { weighed } from "@/core/plan/weighed";
import { sayWearingOut } from "@/core/plan/words";
import { count, sayDays, sayDistance, sayTemperature, type Units } from "@/core/units/speak";
import { Choices } from "@/ui/page/choices";
import { PageHead } from "@/ui/page/page-head";
import { tripPath } from "@/ui/paths";
import { aheadOf } from "./ahead";
import { BestList } from "./best/best-list";
import { boardLines } from "./board/board-lines";
import { PlanBoard } from "./board/plan-board";
import { First } from "./sections/first";
import { IfItFails } from "./sections/if-it-fails";
import { NeverWithout } from "./sections/never-without";
import { NotSure } from "./sections/not-sure";
import { HowMuch } from "./sections/how-much";
import { Missing } from "./sections/missing";
import { PlanPath } from "./sections/legs/plan-path";
import { OverYourDays } from "./sections/over-your-days";
import { OnSomeLegs } from "./sections/legs/on-some-legs";
import { WarmEnough } from "./sections/warm-enough";
import { WearingOut } from "./sections/wearing-out";
import { WhichKit } from "./sections/which-kit";

export const metadata: Metadata = { title: "Next trip" };

/** What to take on the trip ahead: the one planned, or one as usual. */
export default async function NextPage({ searchParams }: { searchParams: Promise<{ trip?: string }> }) {
  const reading = await readBook();
  const { log, book } = reading;
  const { units } = book.settings;
  const planned = aheadOf(log.trips, book.today);
  const asked = TripId.safeParse((await searchParams).trip).data;
  const trip = planned.find(({ id }) => id === asked) ?? planned[0] ?? null;
  const plan = (await plansOf(reading))(trip);
  const supplies = plannedSupplies(plan, trip);
  const some = trip ? onSomeLegs(plan, trip) : [];
  const stages = trip ? stagesOf(plan, trip, some) : [];
  const pack = plan.lines.find(({ item, column }) => item.kind === "pack" && column !== "leave")?.item;
  return (
    <>
      <NextHead trip={trip} plan={plan} units={units} />
      {planned.length > 1 && <WhichTrip planned={planned} chosen={trip} />}
      <First plan={plan} />
      <div className="no-print">
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
      </div>
      {book.items.length === 0 ? (
        <p className="max-w-xl text-muted">
          Put things on the shelf and enter a trip: what to take on the next then stands here.
        </p>
      ) : (
        <PlanBoard
          trip={trip?.id ?? null}
          lines={boardLines(plan)}
          last={plan.lastLoad}
          supplies={{ food: supplies.foodGrams, water: supplies.waterGrams }}
          limit={pack?.ratings.comfortableLoad?.g ?? null}
          listed={trip?.carries.map(({ item }) => item) ?? []}
          units={units}
        />
      )}
      <div className="mt-8 grid gap-8 lg:grid-cols-2 print:mt-3 print:grid-cols-2 print:text-xs">
        <HowMuch plan={plan} trip={trip} units={units} />
        <NeverWithout trip={trip?.id ?? "next"} never={book.settings.never} />
      </div>
      <div className="no-print mt-8 grid gap-8 lg:grid-cols-2">
        <WearingOut plan={plan} units={units} />
        {trip && <NotSure plan={plan} trip={trip} units={units} />}
        {trip && <IfItFails plan={plan} trip={trip} units={units} />}
        {trip && <OnSomeLegs trip={trip} plan={plan} some={some} stages={stages} units={units} />}
        <WhichKit trip={trip} reading={reading} />
        <WarmEnough plan={plan} trip={trip} units={units} />
        <OverYourDays trip={trip} reading={reading} />
        {trip && (
          <BestList
            trip={trip.id}
            things={weighed(plan)}
            litres={pack?.ratings.volume ?? null}
            units={units}
          />
        )}
        <Missing plan={plan} book={book} />
      </div>
      <p className="hint mt-8 max-w-3xl">
        This list advises; you decide. It is no substitute for local rules, forecasts on the day, or training.
        Leave word of where you go.
      </p>
    </>
  );
}

interface WhichTripProps {
  readonly planned: readonly Trip[];
  readonly chosen: Trip | null;
}

/** The trips that are planned, where there are several. */
const WhichTrip = ({ planned, chosen }: WhichTripProps) => (
  <Choices
    label="Which trip"
    look="no-print"
    chosen={chosen?.id ?? ""}
    choices={planned.map(({ id, name }) => ({
      key: id,
      href: `/next?${new URLSearchParams({ trip: id })}`,
      words: name,
    }))}
  />
);

interface NextHeadProps {
  readonly trip: Trip | null;
  readonly plan: Plan;
  readonly units: Units;
}

function NextHead({ trip, plan: { next }, units }: NextHeadProps) {
  return (
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
      {sayDistance(next.metres, units)}, {count(Math.round(next.nights), "night")}
      {trip && trip.foreseen.low !== null && `, down to ${sayTemperature(trip.foreseen.low, units)}`}
    </PageHead>
  );
}
