import Link from "next/link";
import { count, sayMass, sayTemperature, type Units } from "@/core/units/speak";
import { wouldHaveDone, type BedNights } from "@/core/weighin/sleep";
import { Section } from "@/ui/page/section";
import { itemPath } from "@/ui/paths";

interface OthersProps {
  readonly shown: BedNights;
  readonly beds: readonly BedNights[];
  readonly units: Units;
}

/** Whether another bed would have done on the nights in this one, and from where on to change to it. */
export function Others({ shown, beds, units }: OthersProps) {
  const others = beds.filter(({ bed }) => bed !== shown.bed && bed.weight !== null);
  return (
    <Section title="Would another have done, and when to change?">
      {others.length === 0 && (
        <p className="text-muted">There is no other bed on the shelf or the wish list.</p>
      )}
      <ul>
        {others.map((other) => (
          <Other key={other.bed.id} other={other} shown={shown} units={units} />
        ))}
      </ul>
    </Section>
  );
}

function Other({ other, shown, units }: Omit<OthersProps, "beds"> & { readonly other: BedNights }) {
  const { id, name, state, weight } = other.bed;
  const done = wouldHaveDone(shown.nights, other).length;
  const grams = (weight?.g ?? 0) - (shown.bed.weight?.g ?? 0);
  const change = sayTemperature((grams < 0 ? other : shown).plain.relyOn, units);
  return (
    <li className="border-b border-rule py-1">
      <Link
        prefetch={false}
        href={state === "wished" ? "/shelf/wishes" : itemPath(id)}
        className="font-semibold hover:underline"
      >
        {name}
      </Link>
      {state === "wished" && " (wished for)"}, {sayMass(Math.abs(grams), units)}{" "}
      {grams < 0 ? "lighter" : "heavier"}: it would have done on {done} of{" "}
      {count(shown.nights.length, "night")}.{" "}
      <span className="text-muted">
        {grams < 0
          ? `Enough where lows stay above ${change}.`
          : `To change to where lows under ${change} are expected.`}
      </span>
    </li>
  );
}
