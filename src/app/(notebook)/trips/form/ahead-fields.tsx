import { Field } from "@/ui/form/field";
import type { PartOfTripForm } from "./when-fields";

/** What is known of a trip that is not walked yet. */
export function AheadFields({ field, units }: Omit<PartOfTripForm, "form">) {
  return (
    <fieldset>
      <legend className="mb-1 font-head text-lg font-bold">What is ahead</legend>
      <div className="grid gap-4 sm:grid-cols-3">
        <Field
          label="Coldest night expected"
          {...field("low")}
          placeholder={units.temperature === "C" ? "2 °C" : "36 °F"}
        />
        <Field label="Longest stretch without water" {...field("dry")} placeholder={`14 ${units.distance}`} />
        <Field label="Days from shop to shop" inputMode="decimal" {...field("resupply")} />
      </div>
    </fieldset>
  );
}
