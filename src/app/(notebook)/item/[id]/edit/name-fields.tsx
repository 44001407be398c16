import type { UseFormReturn } from "react-hook-form";
import { STOWS } from "@/core/model/lists";
import type { Kind } from "@/core/trade/kind";
import { Field, SelectField } from "@/ui/form/field";
import type { FieldOf } from "@/ui/form/use-answered-form";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import type { Values } from "./item-values";

/** What the form shows of a kind: what stands where its owner leaves blank. */
export type KindRow = Pick<Kind, "id" | "stow" | "load" | "cover" | "consequence" | "triggers" | "jobs">;

/** What every part of the item's form is given. */
export interface PartOfForm {
  readonly form: UseFormReturn<Values>;
  readonly field: FieldOf<Values>;
  readonly kind: KindRow | undefined;
}

/** The first choice where blank means what the kind says. */
export const asKind = (value: string | undefined) => ["", `as its kind: ${value ?? "–"}`] as const;

interface NameFieldsProps extends PartOfForm {
  readonly kinds: readonly KindRow[];
  readonly bags: readonly (readonly [id: string, name: string])[];
}

/** What it is, what it weighs, where it rides. */
export function NameFields({ form, field, kinds, kind, bags }: NameFieldsProps) {
  return (
    <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
      <Field label="Name" {...field("name")} className="sm:col-span-2" />
      <SelectField label="Kind" {...field("kind")} options={kinds.map(({ id }) => id)} />
      <Field label="Weight" {...field("weight")} hint="312 g, 9.6 oz or 2 lb 3 oz" />
      <SelectField
        label="Weighed"
        {...field("weighed")}
        options={[
          ["measured", "on my scale"],
          ["claimed", "as claimed"],
        ]}
      />
      <Field label="Pieces" inputMode="numeric" {...field("pieces")} hint="a set of like pieces: 8 stakes" />
      <SelectField
        label="Where it rides"
        {...field("stow")}
        options={[
          asKind(kind && STOW_NAMES[kind.stow].toLowerCase()),
          ...STOWS.map((stow) => [stow, STOW_NAMES[stow].toLowerCase()] as const),
        ]}
      />
      {form.watch("stow") === "bag" && (
        <SelectField label="Inside" {...field("bag")} options={[["", "–"], ...bags]} />
      )}
      <Field
        label="Slot"
        {...field("slot")}
        hint="one job filled by one thing after another: walking shoes"
      />
      <Field label="Set" {...field("set")} hint="things that are packed and left as one: cook set" />
    </div>
  );
}
