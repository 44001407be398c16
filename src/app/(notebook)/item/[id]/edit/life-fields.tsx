import { ITEM_STATES } from "@/core/model/lists";
import { Field, SelectField } from "@/ui/form/field";
import type { PartOfForm } from "./name-fields";

interface LifeFieldsProps extends Omit<PartOfForm, "kind"> {
  /** What a thing wished for may take the place of. */
  readonly things: readonly (readonly [id: string, name: string])[];
  readonly currency: string;
}

/** Where it comes from, what it cost, and where it is now. */
export function LifeFields({ form, field, things, currency }: LifeFieldsProps) {
  const state = form.watch("state");
  return (
    <div className="grid gap-4 sm:grid-cols-3">
      <SelectField
        label="Before this log"
        {...field("past")}
        options={[
          ["new", "new"],
          ["known", "used, and I know how much"],
          ["unknown", "used, nobody knows how much"],
        ]}
      />
      {form.watch("past") === "known" && (
        <>
          <Field label="Walked before" {...field("openingDistance")} hint="540 km or 335 mi" />
          <Field label="Nights before" inputMode="decimal" {...field("openingNights")} />
        </>
      )}
      <Field label="Got on" type="date" {...field("acquired")} />
      <Field label="Price" inputMode="decimal" {...field("price")} />
      <Field label="in" {...field("currency")} hint={`blank: ${currency}`} maxLength={4} />
      <Field label="Warranty until" type="date" {...field("warranty")} />
      <Field label="Date on the label" type="date" {...field("expires")} hint="expiry, battery" />
      <SelectField label="State" {...field("state")} options={ITEM_STATES} />
      <Field
        label="Whose it is"
        {...field("owner")}
        hint="blank: mine; a name, where it is borrowed"
        maxLength={60}
      />
      <Field label="Who has it now" {...field("lentTo")} hint="blank: it is here" maxLength={60} />
      {state === "wished" && (
        <>
          <Field
            label="Days to come"
            inputMode="numeric"
            {...field("delivery")}
            hint="from the order to your door"
          />
          <SelectField label="In the place of" {...field("instead")} options={[["", "nothing"], ...things]} />
        </>
      )}
      {state !== "active" && state !== "wished" && <Field label="Since" type="date" {...field("since")} />}
    </div>
  );
}
