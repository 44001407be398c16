"use client";

import type { Job } from "@/core/model";
import { isBed } from "@/core/trade/warmth";
import { pouredUnit, roomUnit, type Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import type { Values } from "./item-values";
import type { PartOfForm } from "./name-fields";

/** A rating with what it is asked of: things of these jobs, and whatever has it already. */
interface Rating {
  readonly field: keyof Values;
  readonly label: string;
  readonly hint: string;
  readonly jobs: readonly Job[];
}

const UNIT_NAMES = { L: "litres", qt: "quarts", "cu in": "cubic inches" } as const;

const ratingsIn = (units: Units): readonly Rating[] => [
  { field: "rValue", label: "R-value", hint: "of a pad: 3.2", jobs: ["pad"] },
  { field: "wattHours", label: "Capacity", hint: "37 Wh, or 10000 mAh at 3.7 V", jobs: ["power"] },
  {
    field: "litres",
    label: `Holds, ${UNIT_NAMES[pouredUnit(units)]}`,
    hint: "water, or a pot",
    jobs: ["carry water", "cook"],
  },
  {
    field: "volume",
    label: `Room in it, ${UNIT_NAMES[roomUnit(units)]}`,
    hint: "of a pack",
    jobs: ["carry"],
  },
  { field: "comfortableLoad", label: "Carries well up to", hint: "12 kg or 26 lb", jobs: ["carry"] },
  { field: "empty", label: "Weight when empty", hint: "of a gas canister: 98 g", jobs: ["fuel"] },
  { field: "lumens", label: "Lumens", hint: "", jobs: ["light"] },
];

interface RatingFieldsProps extends PartOfForm {
  readonly units: Units;
}

/** What a thing of this kind is rated by, and whatever it has already. */
export function RatingFields({ form: { watch }, field, kind, units }: RatingFieldsProps) {
  return (
    <fieldset>
      <legend className="mb-2 font-head text-lg font-bold">What it is rated by</legend>
      <div className="grid gap-4 sm:grid-cols-3">
        {(isBed(kind?.id ?? "") || watch("label") !== "") && (
          <>
            <Field
              label="Label temperature"
              {...field("label")}
              hint={units.temperature === "C" ? "−2 °C" : "28 °F"}
            />
            <SelectField
              label="which is"
              {...field("labelMeans")}
              options={[
                ["comfort", "comfort, by test"],
                ["limit", "limit, by test"],
                ["extreme", "extreme, by test"],
                ["plain", "a number of its maker"],
              ]}
            />
          </>
        )}
        {ratingsIn(units)
          .filter(
            ({ field: name, jobs }) => watch(name) !== "" || jobs.some((job) => kind?.jobs.includes(job)),
          )
          .map(({ field: name, label, hint }) => (
            <Field key={name} label={label} {...field(name)} hint={hint} />
          ))}
        <Field
          label={`Packed size, ${UNIT_NAMES[roomUnit(units)]}`}
          inputMode="decimal"
          {...field("packed")}
          hint="the room that it takes"
        />
      </div>
    </fieldset>
  );
}
