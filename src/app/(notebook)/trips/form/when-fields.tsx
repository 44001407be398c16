import type { UseFormReturn } from "react-hook-form";
import type { Units } from "@/core/units/speak";
import { Field } from "@/ui/form/field";
import type { FieldOf } from "@/ui/form/use-answered-form";
import type { TripValues } from "./trip-form-values";

/** What every part of the trip's form is given. */
export interface PartOfTripForm {
  readonly form: UseFormReturn<TripValues>;
  readonly field: FieldOf<TripValues>;
  readonly units: Units;
}

/** Its name, its days, and whether it was walked. */
export function WhenFields({ form, field }: Omit<PartOfTripForm, "units">) {
  return (
    <div className="grid gap-4 sm:grid-cols-4">
      <Field label="Name" {...field("name")} className="sm:col-span-4" />
      <Field label="First day" type="date" {...field("starts")} />
      <Field label="Last day" type="date" {...field("ends")} />
      <Field
        label="Nights"
        inputMode="numeric"
        {...field("nights")}
        hint="in the open; blank: from the dates"
      />
      <div className="space-y-1 self-center">
        {!form.watch("planned") && (
          <label className="flex min-h-8 items-center gap-2">
            <input type="checkbox" className="size-5" {...form.register("cut")} />
            cut short
          </label>
        )}
        <label className="flex min-h-8 items-center gap-2">
          <input type="checkbox" className="size-5" {...form.register("planned")} />
          not walked yet
        </label>
      </div>
    </div>
  );
}
