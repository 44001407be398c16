"use client";

import { useRouter } from "next/navigation";
import type { z } from "zod";
import type { BagWeighing, TripId } from "@/core/model";
import { withUnit } from "@/core/units/quantity";
import { Field, SelectField } from "@/ui/form/field";
import { FormEnd } from "@/ui/form/form-end";
import { tellOtherTabs } from "@/ui/follow/channel";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { PageForm } from "@/ui/form/page-form";
import { setScale } from "../../actions";

/** What the packed bag weighed at the start. Blank: it was not weighed. */
export function ScaleForm({
  trip,
  scale,
  unit,
}: {
  trip: TripId;
  scale: z.input<typeof BagWeighing> | null;
  unit: "kg" | "lb";
}) {
  const router = useRouter();
  const { field, submit, busy, wrong } = useAnsweredForm(
    { weight: String(scale?.weight ?? ""), holds: scale?.holds ?? "everything" },
    ({ weight, holds }) =>
      setScale(trip, weight.trim() === "" ? null : { weight: withUnit(weight, unit), holds }),
    () => {
      tellOtherTabs();
      router.refresh();
    },
  );
  return (
    <PageForm onSend={submit(false)} className="mt-3 flex flex-wrap items-start gap-2">
      <Field
        label="The packed bag"
        className="w-36"
        placeholder={unit === "kg" ? "11.4 kg" : "25 lb"}
        {...field("weight")}
      />
      <SelectField
        label="with"
        className="w-56"
        options={[
          ["everything", "food, water and fuel in it"],
          ["no supplies", "no food, water or fuel in it"],
        ]}
        {...field("holds")}
      />
      <FormEnd save="Save" look="btn mt-6 btn-tall" wrong={wrong} busy={busy} />
    </PageForm>
  );
}
