import { count, listWords, sayTemperature, type Units } from "@/core/units/speak";
import type { BedNights } from "@/core/weighin/sleep";
import { Section } from "@/ui/page/section";

/** The bed with what was worn or laid under in it, and down to what each of those did. */
export function Setups({ setups, units }: { setups: BedNights["setups"]; units: Units }) {
  const temperature = (celsius: number) => sayTemperature(celsius, units);
  return (
    <Section title="As it was slept in">
      <ul>
        {setups.map(({ extras, nights, comfort }) => (
          <li key={extras.map(({ id }) => id).join()} className="border-b border-rule py-1">
            With {listWords(extras.map(({ name }) => name)) || "nothing else"}
            <span className="ml-2 text-sm text-muted">
              {count(nights.length, "night")}; down to {temperature(comfort.relyOn)},{" "}
              {temperature(comfort.low)} to {temperature(comfort.high)}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}
