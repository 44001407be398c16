import { listWords, sayTemperature, temperatureNumber, count, type Units } from "@/core/units/speak";
import type { BedNights, SleptNight } from "@/core/weighin/sleep";
import { NightPlot } from "./night-plot";

/** The nights in one bed, with its label's line and the owner's own. */
export function InBed({ shown, units }: { shown: BedNights; units: Units }) {
  const { bed, nights, plain } = shown;
  const { label } = bed.ratings;
  const temperature = (celsius: number) => sayTemperature(celsius, units);
  const at = (celsius: number) => temperatureNumber(celsius, units);
  const labelled = label && {
    name: `label, ${label.means}`,
    at: at(label.celsius),
    colour: "ink" as const,
  };
  const own = { colour: "leaf", thin: true } as const;
  return (
    <NightPlot
      nights={nights.map((night) => ({
        low: at(night.low),
        felt: night.felt,
        words: `${night.outing.trip.name}: ${temperature(night.low)}, felt ${night.felt}${inWhat(night)}`,
      }))}
      lines={[
        ...(labelled ? [labelled] : []),
        { name: "yours", at: at(plain.median), colour: "leaf" },
        { ...own, name: "yours, four times in five", at: at(plain.low) },
        { ...own, name: "", at: at(plain.high) },
      ]}
      unit={`°${units.temperature}`}
      words={
        `${count(nights.length, "night")}: ` +
        nights.map((night) => `${temperature(night.low)} ${night.felt}`).join(", ")
      }
    />
  );
}

const inWhat = ({ extras }: SleptNight) =>
  extras.length ? `, with ${listWords(extras.map(({ name }) => name))}` : "";
