import type { FullItem } from "@/core/trade/full-item";
import { sayPads } from "@/core/say/sleep";
import { parseTemperature } from "@/core/units/quantity";
import { listWords, percent, sayMass, sayTemperature, type Units } from "@/core/units/speak";
import {
  COLD_CHANCE,
  lightestWarm,
  waysToSleep,
  type BedNights,
  type WayToSleep,
} from "@/core/weighin/sleep";
import { Field } from "@/ui/form/field";
import { Section } from "@/ui/page/section";
import { Table } from "@/ui/page/table";

interface SoColdProps {
  readonly beds: readonly BedNights[];
  readonly bed: FullItem;
  /** What would be slept on: the pads that this bed was mostly slept on. */
  readonly pads: readonly FullItem[];
  /** The low that was asked about, as it was typed. */
  readonly asked: string | undefined;
  readonly units: Units;
}

/** Asked of one low: what each way to sleep makes of it. */
export function SoCold({ beds, bed, pads, asked, units }: SoColdProps) {
  const low = asked?.trim() ? parseTemperature(asked, units.temperature) : null;
  return (
    <Section title="Would so cold a night be all right?">
      <form className="flex items-start gap-2" action="/trips/nights">
        <input type="hidden" name="bed" value={bed.id} />
        <Field
          label={`Coldest, °${units.temperature}`}
          name="low"
          defaultValue={asked}
          className="w-40"
          placeholder={sayTemperature(-3, units)}
          error={low && !low.ok ? low.why : undefined}
        />
        <button className="btn mt-6 btn-tall">Ask</button>
      </form>
      {low?.ok && <Chances beds={beds} low={low.value} units={units} />}
      {low?.ok && <p className="mt-1 text-sm">{sayPads(pads, low.value, false, units)}</p>}
    </Section>
  );
}

const wordsOf = ({ bed, extras }: WayToSleep) =>
  `${listWords([bed, ...extras].map(({ name }) => name))}${bed.state === "wished" ? " (wished for)" : ""}`;

/** The chance of a cold night at a low, in every set-up slept in and every bed by itself, the lightest first. */
function Chances({ beds, low, units }: { beds: readonly BedNights[]; low: number; units: Units }) {
  const ways = waysToSleep(beds);
  const lightest = lightestWarm(ways, low);
  return (
    <>
      <p className="mt-2" role="status">
        At {sayTemperature(low, units)}:{" "}
        {lightest
          ? `the lightest that keeps it under ${percent(COLD_CHANCE)} is ${wordsOf(lightest)}.`
          : "nothing of yours keeps a cold night unlikely."}
      </p>
      <Table
        rows={ways}
        keyOf={wordsOf}
        columns={[
          { head: "in", cell: wordsOf },
          { head: "weighs", number: true, cell: ({ grams }) => sayMass(grams, units) },
          {
            head: "chance of a cold night",
            number: true,
            cell: ({ comfort }) => <Chance chance={comfort.coldAt(low)} />,
          },
          {
            head: "cool or colder",
            number: true,
            look: "pl-4 text-muted",
            cell: ({ comfort }) => percent(comfort.coolAt(low)),
          },
        ]}
      />
    </>
  );
}

const Chance = ({ chance }: { chance: number }) => (
  <span className={chance > COLD_CHANCE ? "text-sting" : ""}>{percent(chance)}</span>
);
