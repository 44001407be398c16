import type { Metadata } from "next";
import { METRES_PER_MILE, parseNumber } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { supplyUses } from "@/core/weighin/supplies";
import { suppliesAhead } from "@/core/weighin/supplies-ahead";
import { Field, SelectField } from "@/ui/form/field";
import { PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { Food } from "./food";
import { Fuel } from "./fuel";
import { Power } from "./power";
import type { Ahead } from "./rate";
import { Water } from "./water";

export const metadata: Metadata = { title: "Supplies" };

/** Enough so often: the share of trips that a size is asked to be enough on. */
const MARGINS = [
  ["0.5", "one trip in two"],
  ["0.8", "four trips in five"],
  ["0.9", "nine trips in ten"],
  ["0.97", "nearly always"],
] as const;

/** What is asked of the page, in the owner's units. */
interface Asked {
  readonly margin?: string;
  readonly nights?: string;
  readonly way?: string;
  readonly dry?: string;
  readonly grams?: string;
  readonly saves?: string;
}

/** The owner's own rates of what is used up, and how much of it a trip wants. */
export default async function SuppliesPage({ searchParams }: { searchParams: Promise<Asked> }) {
  const asked = await searchParams;
  const { book } = await readBook();
  const { units } = book.settings;
  const uses = supplyUses(book);
  const perUnit = units.distance === "km" ? 1 : METRES_PER_MILE / 1000;
  const number = (text: string | undefined, usual: number) => {
    const read = parseNumber(text ?? "");
    return read !== null && read >= 0 ? read : usual;
  };
  const nights = number(asked.nights, Math.round(book.next.nights));
  const way = number(asked.way, Math.round(book.next.metres / 1000 / perUnit));
  const margin = MARGINS.find(([value]) => value === asked.margin)?.[0] ?? "0.9";
  const ahead: Ahead = { nights, days: nights + 1, km: way * perUnit, margin: Number(margin) };
  const dry = number(asked.dry, 0) * perUnit;
  const wanted = suppliesAhead(
    uses,
    book.items.filter(({ state }) => state === "active"),
    { nights, days: ahead.days, shopDays: ahead.days, dryKm: dry },
    ahead.margin,
  );
  return (
    <>
      <PageHead title="Supplies">
        Your own use, from what went out and what came home; the rule of thumb where trips are few. In the
        bars: filled was used, hollow came home; the line is yours, the dashed one what is reckoned with.
      </PageHead>
      <AskedFor
        asked={asked}
        nights={nights}
        way={way}
        margin={margin}
        isPlanned={Boolean(book.next.name)}
        units={units}
      />
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2">
        <Fuel book={book} uses={uses} ahead={ahead} asked={asked} />
        <Food uses={uses} ahead={ahead} units={units} />
        <Water book={book} uses={uses} ahead={ahead} dry={dry} wanted={wanted} />
        <Power book={book} uses={uses} ahead={ahead} wanted={wanted} />
      </div>
      <p className="hint mt-8 max-w-3xl">
        The figures are of trips like yours, and no promise. Leave room for a day lost to weather; local
        advice on water and fires comes first.
      </p>
    </>
  );
}

interface AskedForProps {
  readonly asked: Asked;
  readonly nights: number;
  readonly way: number;
  readonly margin: string;
  readonly isPlanned: boolean;
  readonly units: Units;
}

/** The trip that is sized for, and how surely. */
function AskedFor({ asked, nights, way, margin, isPlanned, units }: AskedForProps) {
  const isWrong = (text: string | undefined) => {
    const read = parseNumber(text ?? "");
    return read !== null && !(read >= 0) ? "Write a number, 0 or more." : undefined;
  };
  return (
    <form
      action="/trips/supplies"
      className="mb-6 flex flex-wrap items-start gap-2 border-y border-rule py-3"
    >
      <Field
        label="For a trip of, nights"
        name="nights"
        inputMode="numeric"
        defaultValue={asked.nights ?? nights}
        error={isWrong(asked.nights)}
        className="w-36"
        hint={isPlanned ? "the one planned" : "your usual one"}
      />
      <Field
        label={`and ${units.distance}`}
        name="way"
        inputMode="decimal"
        defaultValue={asked.way ?? way}
        error={isWrong(asked.way)}
        className="w-28"
      />
      <SelectField label="Enough on" name="margin" defaultValue={margin} options={MARGINS} className="w-44" />
      <Field
        label={`Longest dry stretch, ${units.distance}`}
        name="dry"
        inputMode="decimal"
        defaultValue={asked.dry}
        error={isWrong(asked.dry)}
        className="w-48"
      />
      <button className="btn mt-6 btn-tall">Reckon</button>
    </form>
  );
}
