"use client";

import { useRouter } from "next/navigation";
import { parsePrice } from "@/core/units/price";
import { withUnit } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/follow/channel";
import { FormEnd } from "@/ui/form/form-end";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { useLoaded } from "@/ui/use-loaded";
import { PageForm } from "@/ui/form/page-form";
import { addWish } from "../actions";

const BLANK = { name: "", kind: "", weight: "", price: "", currency: "", instead: "" };

/** What a wish is read by as a line of the shelf is, which comes with the first letter. */
const READER = () => import("@/core/shelf/read-line");

interface AddWishProps {
  readonly kinds: readonly string[];
  readonly things: readonly (readonly [id: string, name: string])[];
  readonly units: Units;
  readonly currency: string;
}

const toWish = (typed: typeof BLANK, units: Units) => {
  const price = parsePrice(typed.price);
  return {
    name: typed.name,
    kind: typed.kind,
    weights:
      typed.weight.trim() === "" ? [] : [{ weight: withUnit(typed.weight, units.weight), how: "claimed" }],
    // What can't be read is refused by its field.
    price: typed.price.trim() === "" ? null : (price?.amount ?? Number.NaN),
    currency: typed.currency.trim() || price?.currency || null,
    instead: typed.instead || null,
  };
};

/** A thing to put on the wish list. */
export function AddWish({ kinds, things, units, currency }: AddWishProps) {
  const router = useRouter();
  const { form, field, ask, submit, busy, wrong } = useAnsweredForm(
    BLANK,
    (typed, sure) => addWish(toWish(typed, units), sure),
    (_, added) => {
      added.reset(BLANK);
      tellOtherTabs();
      router.refresh();
    },
  );
  const name = form.watch("name");
  const reader = useLoaded(READER, name !== "");
  const line = reader?.parseLine(name, units.weight);
  const byName = name.trim() && line ? `by its name: ${line.kind}` : "by its name";
  /** What was typed as one line goes into its fields, and they are seen before it is added. */
  const spread = () => {
    if (!line || line.name === "") return;
    const { price, weight } = line;
    if (!price && !weight) return;
    form.setValue("name", line.name);
    if (weight && form.getValues("weight") === "") form.setValue("weight", weight.typed);
    if (price && form.getValues("price") === "") form.setValue("price", String(price.amount));
    if (price?.currency && price.currency !== currency && form.getValues("currency") === "")
      form.setValue("currency", price.currency);
  };
  return (
    <PageForm onSend={submit(false)} className="mb-6 flex flex-wrap items-start gap-2">
      <Field
        label="Wished for"
        className="w-60"
        placeholder={`tent ${units.weight === "g" ? "980 g" : "35 oz"} ${currency}420`}
        {...field("name")}
        onBlur={spread}
      />
      <SelectField label="Kind" className="w-44" {...field("kind")} options={[["", byName], ...kinds]} />
      <Field label="Weight, claimed" className="w-32" {...field("weight")} />
      <Field label="Price" className="w-24" inputMode="decimal" {...field("price")} />
      <Field label="in" className="w-20" maxLength={4} placeholder={currency} {...field("currency")} />
      <SelectField
        label="In the place of"
        className="w-52"
        {...field("instead")}
        options={[["", "nothing"], ...things]}
      />
      <FormEnd
        save="Add"
        saveAnyhow="Yes, add it"
        look="btn btn-leaf mt-6 btn-tall"
        wrong={wrong}
        ask={ask}
        busy={busy}
        onSure={submit(true)}
      />
    </PageForm>
  );
}
