"use client";

import { useRouter } from "next/navigation";
import type { ItemId, SavedKit, Trigger } from "@/core/model";
import { typedTemperature } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field, TextField } from "@/ui/form/field";
import { FormEnd } from "@/ui/form/form-end";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { tellOtherTabs } from "@/ui/follow/channel";
import { PageForm } from "@/ui/form/page-form";
import { saveKit } from "../actions";

interface KitFormProps {
  readonly kit: SavedKit;
  /** Its low, in the owner's units, as text. */
  readonly low: string;
  readonly things: readonly { readonly id: ItemId; readonly name: string }[];
  readonly months: readonly (readonly [string, string])[];
  readonly weathers: readonly (readonly [Trigger, string])[];
  readonly temperature: Units["temperature"];
}

/** A kit's name, its months, its weather, and its things. */
export function KitForm({ kit, low, things, months, weathers, temperature }: KitFormProps) {
  const router = useRouter();
  const { form, field, submit, busy, wrong } = useAnsweredForm(
    {
      name: kit.name,
      low,
      note: kit.note,
      months: kit.months.map(String),
      weather: kit.weather.map(String),
      items: kit.items.map(String),
    },
    (typed) =>
      saveKit({
        ...typed,
        id: kit.id,
        low: typedTemperature(typed.low, temperature),
        months: typed.months.map(Number),
      }),
    () => {
      tellOtherTabs();
      router.push("/next/kits");
    },
  );
  const { register } = form;
  const ticks = (name: "months" | "weather" | "items", options: readonly (readonly [string, string])[]) =>
    options.map(([value, words]) => (
      <label key={value} className="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11">
        <input type="checkbox" value={value} className="size-5 accent-leaf" {...register(name)} />
        {words}
      </label>
    ));
  return (
    <PageForm onSend={submit(false)} className="max-w-4xl">
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label="Name" {...field("name")} />
        <Field
          label="Coldest night it is for"
          placeholder={temperature === "C" ? "−5" : "23"}
          {...field("low")}
        />
      </div>
      <fieldset className="mt-4">
        <legend className="label">Months; none ticked: any</legend>
        <div className="grid grid-cols-3 gap-x-4 sm:grid-cols-6">{ticks("months", months)}</div>
      </fieldset>
      <fieldset className="mt-4">
        <legend className="label">For</legend>
        <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-4">{ticks("weather", weathers)}</div>
      </fieldset>
      <fieldset className="mt-4">
        <legend className="label">In it</legend>
        {form.formState.errors.items && (
          <p className="error">{String(form.formState.errors.items.message)}</p>
        )}
        <div className="grid gap-x-4 sm:grid-cols-2 lg:grid-cols-3">
          {ticks(
            "items",
            things.map(({ id, name }) => [id, name] as const),
          )}
        </div>
      </fieldset>
      <TextField label="Note" className="mt-4 max-w-xl" {...field("note")} />
      <div className="mt-4">
        <FormEnd save="Save the kit" look="btn btn-leaf" wrong={wrong} busy={busy} />
      </div>
    </PageForm>
  );
}
