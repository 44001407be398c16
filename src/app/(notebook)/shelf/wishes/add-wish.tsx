"use client";

import { useRouter } from "next/navigation";
import { parseNumber, withUnit } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { FormEnd } from "@/ui/form/form-end";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { useLoaded } from "@/ui/use-loaded";
import { addWish } from "../actions";

const BLANK = { name: "", kind: "", weight: "", price: "", currency: "", instead: "" };

/** What tells a kind by a name, which comes with the first letter. */
const GUESS = () => import("@/core/trade/words/names");

interface AddWishProps {
  readonly kinds: readonly string[];
  readonly things: readonly (readonly [id: string, name: string])[];
  readonly units: Units;
  readonly currency: string;
}

const toWish = (typed: typeof BLANK, units: Units) => ({
  name: typed.name,
  kind: typed.kind,
  weights:
    typed.weight.trim() === "" ? [] : [{ weight: withUnit(typed.weight, units.weight), how: "claimed" }],
  price: parseNumber(typed.price),
  currency: typed.currency.trim() || null,
  instead: typed.instead || null,
});

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
  const guess = useLoaded(GUESS, name !== "")?.guessKind(name).id;
  const byName = name.trim() && guess ? `by its name: ${guess}` : "by its name";
  return (
    <form onSubmit={submit(false)} noValidate className="mb-6 flex flex-wrap items-start gap-2">
      <Field label="Wished for" className="w-52" {...field("name")} />
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
    </form>
  );
}
