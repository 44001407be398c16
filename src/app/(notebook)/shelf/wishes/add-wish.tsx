"use client";

import { useRouter } from "next/navigation";
import { guessKind } from "@/core/trade/names";
import { parseNumber, withUnit } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { useAnsweredForm } from "@/ui/use-answered-form";
import { addWish } from "../actions";

const BLANK = { name: "", kind: "", weight: "", price: "", currency: "", instead: "" };

/** A thing to put on the wish list. */
export function AddWish({
  kinds,
  things,
  units,
  currency,
}: {
  kinds: readonly string[];
  things: readonly (readonly [id: string, name: string])[];
  units: Units;
  currency: string;
}) {
  const router = useRouter();
  const { form, ask, submit, busy, wrong } = useAnsweredForm(
    BLANK,
    (typed, sure) =>
      addWish(
        {
          name: typed.name,
          kind: typed.kind || guessKind(typed.name).id,
          weights:
            typed.weight.trim() === ""
              ? []
              : [{ weight: withUnit(typed.weight, units.weight), how: "claimed" }],
          price: parseNumber(typed.price),
          currency: typed.currency.trim() || null,
          instead: typed.instead || null,
        },
        sure,
      ),
    (_, added) => {
      added.reset(BLANK);
      tellOtherTabs();
      router.refresh();
    },
  );
  const {
    register,
    watch,
    formState: { errors },
  } = form;
  const name = watch("name");
  return (
    <form onSubmit={submit(false)} noValidate className="mb-6 flex flex-wrap items-start gap-2">
      <Field
        label="Wished for"
        className="w-52"
        {...register("name")}
        error={errors.name?.message ?? wrong}
      />
      <SelectField
        label="Kind"
        className="w-44"
        {...register("kind")}
        options={[["", name.trim() ? `by its name: ${guessKind(name).id}` : "by its name"], ...kinds]}
      />
      <Field
        label="Weight, claimed"
        className="w-32"
        {...register("weight")}
        error={errors.weight?.message}
      />
      <Field
        label="Price"
        className="w-24"
        inputMode="decimal"
        {...register("price")}
        error={errors.price?.message}
      />
      <Field
        label="in"
        className="w-20"
        maxLength={4}
        placeholder={currency}
        {...register("currency")}
        error={errors.currency?.message}
      />
      <SelectField
        label="In the place of"
        className="w-52"
        {...register("instead")}
        error={errors.instead?.message}
        options={[["", "nothing"], ...things]}
      />
      <button className="btn btn-leaf mt-6 !min-h-10" disabled={busy}>
        Add
      </button>
      {ask && (
        <p role="alert" className="flex w-full flex-wrap items-center gap-2">
          {ask}{" "}
          <button type="button" className="btn" onClick={submit(true)}>
            Yes, add it
          </button>
        </p>
      )}
    </form>
  );
}
