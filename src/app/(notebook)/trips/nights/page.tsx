import type { Metadata } from "next";
import Link from "next/link";
import { ItemId } from "@/core/model";
import { sayComfort, sayLabel } from "@/core/say/sleep";
import {
  COLD_CHANCE,
  lightestWarm,
  sleepOf,
  waysToSleep,
  wouldHaveDone,
  type BedNights,
  type SleptNight,
  type WayToSleep,
} from "@/core/weighin/sleep";
import { parseTemperature } from "@/core/units/quantity";
import {
  count,
  listWords,
  percent,
  sayDay,
  sayMass,
  sayTemperature,
  temperatureNumber,
  type Units,
} from "@/core/units/speak";
import { Field } from "@/ui/field";
import { Empty, PageHead } from "@/ui/page-head";
import { itemPath, tripPath } from "@/ui/paths";
import { readBook } from "@/app/book";
import { NightPlot } from "./night-plot";

export const metadata: Metadata = { title: "Nights" };

/** How cold the nights were against how they felt, bed by bed, and down to what each bed will do. */
export default async function NightsPage({
  searchParams,
}: {
  searchParams: Promise<{ bed?: string; low?: string }>;
}) {
  const asked = await searchParams;
  const { book } = await readBook();
  const { units } = book.settings;
  const beds = sleepOf(book);
  const shown =
    beds.find(({ bed }) => bed.id === ItemId.safeParse(asked.bed).data) ??
    beds.toSorted((a, b) => b.nights.length - a.nights.length)[0];
  if (!shown)
    return (
      <>
        <PageHead title="Nights" />
        <Empty
          title="No bed on the shelf yet"
          action={
            <Link href="/shelf" className="btn btn-leaf">
              To the shelf
            </Link>
          }
        >
          Put a quilt or a sleeping bag on the shelf, and say after a trip how cold its nights were and how
          they felt. What the label is worth to you then stands here.
        </Empty>
      </>
    );
  const { bed, nights, plain, setups, extras } = shown;
  const low = asked.low?.trim() ? parseTemperature(asked.low, units.temperature) : null;
  const { label } = bed.ratings;
  const temperature = (celsius: number) => sayTemperature(celsius, units);
  return (
    <>
      <PageHead title="Nights">
        {count(nights.length, "night")} told of in {bed.name}
      </PageHead>
      {beds.length > 1 && (
        <p
          className="mb-3 flex flex-wrap gap-x-4 border-b border-rule pb-2"
          role="group"
          aria-label="Which bed"
        >
          {beds.map((each) => (
            <Link
              key={each.bed.id}
              prefetch={false}
              href={`/trips/nights?${new URLSearchParams({ bed: each.bed.id })}`}
              aria-current={each === shown ? "page" : undefined}
              className={each === shown ? "font-bold" : "link"}
            >
              {each.bed.name}
              {each.bed.state === "wished" && " (wished for)"}
            </Link>
          ))}
        </p>
      )}
      <p className="max-w-3xl text-lg">{sayComfort(plain, units)}</p>
      <p className="hint mb-4 max-w-3xl">{sayLabel(label, units)}</p>
      {nights.length > 0 && (
        <NightPlot
          nights={nights.map((night) => ({
            low: temperatureNumber(night.low, units),
            felt: night.felt,
            words: `${night.outing.trip.name}: ${temperature(night.low)}, felt ${night.felt}${inWhat(night)}`,
          }))}
          lines={[
            ...(label
              ? [
                  {
                    name: `label, ${label.means}`,
                    at: temperatureNumber(label.celsius, units),
                    colour: "ink" as const,
                  },
                ]
              : []),
            { name: "yours", at: temperatureNumber(plain.median, units), colour: "leaf" },
            {
              name: "yours, four times in five",
              at: temperatureNumber(plain.low, units),
              colour: "leaf",
              thin: true,
            },
            { name: "", at: temperatureNumber(plain.high, units), colour: "leaf", thin: true },
          ]}
          unit={`°${units.temperature}`}
          words={
            `${count(nights.length, "night")}: ` +
            `${nights.map((night) => `${temperature(night.low)} ${night.felt}`).join(", ")}`
          }
        />
      )}
      <div className="mt-6 grid gap-8 lg:grid-cols-2">
        <section>
          <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">Would so cold a night be all right?</h2>
          <form className="flex items-start gap-2" action="/trips/nights">
            <input type="hidden" name="bed" value={bed.id} />
            <Field
              label={`Coldest, °${units.temperature}`}
              name="low"
              defaultValue={asked.low}
              className="w-40"
              placeholder={temperature(-3)}
              error={low && !low.ok ? low.why : undefined}
            />
            <button className="btn mt-6 !min-h-10">Ask</button>
          </form>
          {low?.ok && <Chances beds={beds} low={low.value} units={units} />}
        </section>
        <section>
          <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">What else was worth in it</h2>
          {extras.length === 0 ? (
            <p className="text-muted">
              Nothing else was told as slept in: a liner, a jacket, a hot bottle, a second pad.
            </p>
          ) : (
            <table className="w-full text-[0.95rem]">
              <thead className="text-left text-sm text-muted">
                <tr>
                  <th className="font-normal">thing</th>
                  <th className="text-right font-normal">worth</th>
                  <th className="text-right font-normal">four times in five</th>
                  <th className="text-right font-normal">nights with, without</th>
                </tr>
              </thead>
              <tbody>
                {extras.map(({ item, worth, withIt, without }) => (
                  <tr key={item.id} className="border-t border-rule">
                    <td className="py-1">{item.name}</td>
                    <td className="num text-right">{degrees(worth.mean, units)}</td>
                    <td className="num text-right text-muted">
                      {degrees(worth.low, units)} to {degrees(worth.high, units)}
                    </td>
                    <td className="num text-right text-muted">
                      {withIt}, {without}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </section>
        <Others shown={shown} beds={beds} units={units} />
        <section>
          <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">As it was slept in</h2>
          <ul>
            {setups.map((setup) => (
              <li key={setup.extras.map(({ id }) => id).join()} className="border-b border-rule py-1">
                With {listWords(setup.extras.map(({ name }) => name)) || "nothing else"}
                <span className="ml-2 text-sm text-muted">
                  {count(setup.nights.length, "night")}; down to {temperature(setup.comfort.relyOn)},{" "}
                  {temperature(setup.comfort.low)} to {temperature(setup.comfort.high)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
      {nights.length > 0 && (
        <section className="mt-8">
          <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">Night by night, the latest first</h2>
          <table className="w-full text-[0.95rem]">
            <thead className="text-left text-sm text-muted">
              <tr>
                <th className="font-normal">trip</th>
                <th className="text-right font-normal">coldest</th>
                <th className="pl-4 font-normal">felt</th>
                <th className="text-right font-normal">over the label</th>
                <th className="hidden pl-4 font-normal sm:table-cell">with</th>
              </tr>
            </thead>
            <tbody>
              {nights.toReversed().map((night, n) => (
                <tr key={n} className="border-t border-rule">
                  <td className="py-1">
                    <Link prefetch={false} href={tripPath(night.outing.trip.id)} className="hover:underline">
                      {night.outing.trip.name}
                    </Link>
                    {night.on && <span className="ml-2 text-sm text-muted">{sayDay(night.on)}</span>}
                  </td>
                  <td className="num text-right">{temperature(night.low)}</td>
                  <td className="pl-4">{night.felt}</td>
                  <td className="num text-right">
                    {label ? degrees(night.low - label.celsius, units, true) : "–"}
                  </td>
                  <td className="hidden pl-4 text-muted sm:table-cell">
                    {listWords(night.extras.map(({ name }) => name))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <p className="hint mt-6 max-w-3xl">
        Beds differ by who lies in them, and nights by food, wind and wet. Take what keeps you safe if it
        turns colder than forecast.
      </p>
    </>
  );
}

const inWhat = ({ extras }: SleptNight) =>
  extras.length ? `, with ${listWords(extras.map(({ name }) => name))}` : "";

/** A difference of temperatures in the owner's unit: "2.5°", with its sign where it may be below nothing. */
function degrees(celsius: number, { temperature }: Units, signed = false): string {
  const value = Math.round((temperature === "C" ? celsius : celsius * 1.8) * 10) / 10;
  return `${value < 0 ? "−" : signed && value > 0 ? "+" : ""}${Math.abs(value)}°`;
}

/** The chance of a cold night at a low, in every set-up slept in and every bed by itself, the lightest first. */
function Chances({ beds, low, units }: { beds: readonly BedNights[]; low: number; units: Units }) {
  const ways = waysToSleep(beds);
  const wordsOf = ({ bed, extras }: WayToSleep) =>
    `${listWords([bed, ...extras].map(({ name }) => name))}${bed.state === "wished" ? " (wished for)" : ""}`;
  const lightest = lightestWarm(ways, low);
  return (
    <>
      <p className="mt-2" role="status">
        At {sayTemperature(low, units)}:{" "}
        {lightest
          ? `the lightest that keeps it under ${percent(COLD_CHANCE)} is ${wordsOf(lightest)}.`
          : "nothing of yours keeps a cold night unlikely."}
      </p>
      <table className="w-full text-[0.95rem]">
        <thead className="text-left text-sm text-muted">
          <tr>
            <th className="font-normal">in</th>
            <th className="text-right font-normal">weighs</th>
            <th className="text-right font-normal">chance of a cold night</th>
            <th className="pl-4 text-right font-normal">cool or colder</th>
          </tr>
        </thead>
        <tbody>
          {ways.map((way) => (
            <tr key={wordsOf(way)} className="border-t border-rule">
              <td className="py-1">{wordsOf(way)}</td>
              <td className="num text-right">{sayMass(way.grams, units)}</td>
              <td className={`num text-right ${way.comfort.coldAt(low) > COLD_CHANCE ? "text-sting" : ""}`}>
                {percent(way.comfort.coldAt(low))}
              </td>
              <td className="num pl-4 text-right text-muted">{percent(way.comfort.coolAt(low))}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** Whether another bed would have done on the nights in this one, and from where on to change to it. */
function Others({ shown, beds, units }: { shown: BedNights; beds: readonly BedNights[]; units: Units }) {
  const others = beds.filter(({ bed }) => bed !== shown.bed && bed.weight !== null);
  return (
    <section>
      <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">
        Would another have done, and when to change?
      </h2>
      {others.length === 0 && (
        <p className="text-muted">There is no other bed on the shelf or the wish list.</p>
      )}
      <ul>
        {others.map((other) => {
          const done = wouldHaveDone(shown.nights, other).length;
          const grams = other.bed.weight!.g - (shown.bed.weight?.g ?? 0);
          const change = (grams < 0 ? other : shown).plain.relyOn;
          return (
            <li key={other.bed.id} className="border-b border-rule py-1">
              <Link
                prefetch={false}
                href={other.bed.state === "wished" ? "/shelf/wishes" : itemPath(other.bed.id)}
                className="font-semibold hover:underline"
              >
                {other.bed.name}
              </Link>
              {other.bed.state === "wished" && " (wished for)"}, {sayMass(Math.abs(grams), units)}{" "}
              {grams < 0 ? "lighter" : "heavier"}: it would have done on {done} of{" "}
              {count(shown.nights.length, "night")}.{" "}
              <span className="text-muted">
                {grams < 0
                  ? `Enough where lows stay above ${sayTemperature(change, units)}.`
                  : `To change to where lows under ${sayTemperature(change, units)} are expected.`}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
