"use client";

import type { UseFormReturn } from "react-hook-form";
import type { Job } from "@/core/model";
import type { Kind } from "@/core/trade/kind";
import { isBed } from "@/core/trade/warmth";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import type { Values } from "./item-values";

/** A rating with what it is asked of: things of these jobs, and whatever has it already. */
const RATINGS: readonly {
  readonly field: keyof Values;
  readonly label: string;
  readonly hint: string;
  readonly jobs: readonly Job[];
}[] = [
  { field: "rValue", label: "R-value", hint: "of a pad: 3.2", jobs: ["pad"] },
  { field: "wattHours", label: "Capacity", hint: "37 Wh, or 10000 mAh at 3.7 V", jobs: ["power"] },
  { field: "litres", label: "Holds, litres", hint: "water, or a pot", jobs: ["carry water", "cook"] },
  { field: "volume", label: "Room in it, litres", hint: "of a pack", jobs: ["carry"] },
  { field: "comfortableLoad", label: "Carries well up to", hint: "12 kg or 26 lb", jobs: ["carry"] },
  { field: "empty", label: "Weight when empty", hint: "of a gas canister: 98 g", jobs: ["fuel"] },
  { field: "lumens", label: "Lumens", hint: "", jobs: ["light"] },
];

/** What a thing of this kind is rated by, and whatever it has already. */
export function RatingFields({
  form: {
    register,
    watch,
    formState: { errors },
  },
  kind,
  units,
}: {
  form: UseFormReturn<Values>;
  kind: Kind | undefined;
  units: Units;
}) {
  const error = (name: keyof Values) => errors[name]?.message;
  return (
    <fieldset>
      <legend className="mb-2 font-head text-lg font-bold">What it is rated by</legend>
      <div className="grid gap-4 sm:grid-cols-3">
        {(isBed(kind?.id ?? "") || watch("label") !== "") && (
          <>
            <Field
              label="Label temperature"
              {...register("label")}
              error={error("label")}
              hint={units.temperature === "C" ? "−2 °C" : "28 °F"}
            />
            <SelectField
              label="which is"
              {...register("labelMeans")}
              options={[
                ["comfort", "comfort, by test"],
                ["limit", "limit, by test"],
                ["extreme", "extreme, by test"],
                ["plain", "a number of its maker"],
              ]}
            />
          </>
        )}
        {RATINGS.filter(
          ({ field, jobs }) => watch(field) !== "" || jobs.some((job) => kind?.jobs.includes(job)),
        ).map(({ field, label, hint }) => (
          <Field key={field} label={label} {...register(field)} error={error(field)} hint={hint} />
        ))}
        <Field
          label="Packed size, litres"
          inputMode="decimal"
          {...register("packed")}
          error={error("packed")}
          hint="the room that it takes"
        />
      </div>
    </fieldset>
  );
}
