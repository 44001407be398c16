import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Settings } from "@/core/model";
import { withUnit } from "@/core/units/quantity";
import { sayMass } from "@/core/units/speak";
import { TYPICAL_BODY_KG } from "@/core/weighin/load-energy";
import { Field, SelectField } from "@/ui/form/field";
import { keepTheme } from "./actions";

interface UnitsAndLookProps {
  readonly now: Settings;
  readonly theme: string;
  readonly errors: Readonly<Record<string, string>>;
  readonly onKeep: (next: Settings) => void;
}

const WEIGHTS = [
  ["g", "kg and g"],
  ["oz", "lb and oz"],
] as const;
const DISTANCES = [
  ["km", "km and m"],
  ["mi", "miles and feet"],
] as const;
const TEMPERATURES = [
  ["C", "°C"],
  ["F", "°F"],
] as const;
const THEMES = ["system", "light", "dark"] as const;

/** How everything is said, and how it looks. */
export function UnitsAndLook({ now, theme, errors, onKeep }: UnitsAndLookProps) {
  const router = useRouter();
  const { units } = now;
  const keepUnits = (more: Partial<Settings["units"]>) => onKeep({ ...now, units: { ...units, ...more } });
  return (
    <section aria-labelledby="units-title">
      <h2 id="units-title" className="mb-2 border-b-2 border-ink pb-1 text-lg">
        Units and look
      </h2>
      <div className="grid gap-4 sm:grid-cols-5">
        <Choice
          label="Weight"
          value={units.weight}
          of={WEIGHTS}
          onChoose={(weight) => keepUnits({ weight })}
        />
        <Choice
          label="Distance"
          value={units.distance}
          of={DISTANCES}
          onChoose={(distance) => keepUnits({ distance })}
        />
        <Choice
          label="Temperature"
          value={units.temperature}
          of={TEMPERATURES}
          onChoose={(temperature) => keepUnits({ temperature })}
        />
        <Field
          label="Currency"
          value={now.currency}
          maxLength={4}
          error={errors.currency}
          onChange={({ target }) => onKeep({ ...now, currency: target.value })}
        />
        <SelectField
          label="Light or dark"
          defaultValue={theme}
          onChange={({ target }) => {
            const chosen = THEMES.find((each) => each === target.value);
            if (chosen) void keepTheme(chosen).then(() => router.refresh());
          }}
          options={[["system", "as the system"], "light", "dark"]}
        />
      </div>
      <BodyWeight now={now} error={errors.body} onKeep={onKeep} />
      <p className="hint mt-2">
        Change them at any time. What you typed is kept exactly: 9.6 oz stays 9.6 oz.
      </p>
    </section>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly of: readonly (readonly [value: T, name: string])[];
  readonly onChoose: (value: T) => void;
}

/** One of a few values, each with its name. */
function Choice<T extends string>({ label, value, of, onChoose }: ChoiceProps<T>) {
  return (
    <SelectField
      label={label}
      value={value}
      options={of}
      onChange={({ target }) => {
        const chosen = of.find(([each]) => each === target.value);
        if (chosen) onChoose(chosen[0]);
      }}
    />
  );
}

interface BodyWeightProps extends Pick<UnitsAndLookProps, "now" | "onKeep"> {
  readonly error: string | undefined;
}

/** Kept once one leaves the field: half a number is no weight. */
function BodyWeight({ now, error, onKeep }: BodyWeightProps) {
  const [body, setBody] = useState(now.body?.typed ?? "");
  const typical = sayMass(TYPICAL_BODY_KG * 1000, now.units);
  const keep = () => {
    if (body === (now.body?.typed ?? "")) return;
    const typed = withUnit(body, now.units.weight === "g" ? "kg" : "lb");
    onKeep({ ...now, body: body.trim() === "" ? null : { typed, g: 0 } });
  };
  return (
    <Field
      label="Your body weight"
      className="mt-4 max-w-xs"
      value={body}
      placeholder={typical}
      error={error}
      onChange={({ target }) => setBody(target.value)}
      onBlur={keep}
      hint={`Only for what a load costs in kilocalories; blank is taken as ${typical}.`}
    />
  );
}
