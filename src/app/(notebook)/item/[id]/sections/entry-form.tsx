"use client";

import { useRouter } from "next/navigation";
import type { ItemId } from "@/core/model";
import { ENTRY_WHATS } from "@/core/model/lists";
import { parseNumber, withUnit } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { FormEnd } from "@/ui/form/form-end";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { tellOtherTabs } from "@/ui/follow/channel";
import { sayWithUndo } from "@/ui/notice/undo";
import { PageForm } from "@/ui/form/page-form";
import { logEntry, takeEntryBack } from "../actions";

const BLANK = {
  what: "repair",
  on: "",
  distance: "",
  nights: "",
  cost: "",
  condition: "",
  reading: "",
  note: "",
};
type Values = typeof BLANK;

/** A thing that can be measured on this item. */
interface Measure {
  readonly what: string;
  readonly unit: string;
}

interface EntryFormProps {
  readonly item: ItemId;
  readonly today: string;
  readonly measure: Measure | undefined;
  readonly units: Units;
}

/** What is graded as it is looked at or seen to. */
const GRADED: readonly string[] = ["check", "service", "repair", "wash"];

/** A wash, a repair, a look with its readings, wear in town: what happened between trips. */
export function EntryForm({ item, today, measure, units }: EntryFormProps) {
  const router = useRouter();
  const blank: Values = { ...BLANK, on: today };
  const { form, field, ask, submit, busy, wrong } = useAnsweredForm<Values, string>(
    blank,
    (typed, sure) => logEntry({ item, ...toEntry(typed, units, measure) }, sure),
    (id, { reset, getValues }) => {
      reset({ ...blank, what: getValues("what") });
      tellOtherTabs();
      router.refresh();
      sayWithUndo(
        "Logged",
        () => takeEntryBack(id),
        () => router.refresh(),
      );
    },
  );
  const what = form.watch("what");
  return (
    <PageForm id="between-trips" onSend={submit(false)} className="space-y-3" aria-labelledby="entry-title">
      <h2 id="entry-title" className="border-b-2 border-ink pb-1 text-lg">
        Between trips
      </h2>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="What"
          {...field("what")}
          options={ENTRY_WHATS.filter((each) => each !== "own service")}
        />
        <Field label="On" type="date" {...field("on")} />
        {what === "wear" && (
          <>
            <Field label="Distance" {...field("distance")} placeholder={`120 ${units.distance}`} />
            <Field label="Nights" inputMode="decimal" {...field("nights")} />
          </>
        )}
        {GRADED.includes(what) && (
          <SelectField
            label="Condition now"
            {...field("condition")}
            options={[["", "not graded"], ["5", "5 as new"], "4", "3", "2", "1", ["0", "0 gone"]]}
          />
        )}
        {GRADED.includes(what) && measure && (
          <Field label={`Its ${measure.what}, ${measure.unit}`} inputMode="decimal" {...field("reading")} />
        )}
        <Field label="Cost" inputMode="decimal" {...field("cost")} />
        <Field label="Note" {...field("note")} />
      </div>
      <FormEnd
        save="Log it"
        saveAnyhow="Yes, log it"
        wrong={wrong}
        ask={ask}
        busy={busy}
        onSure={submit(true)}
      />
    </PageForm>
  );
}

const toEntry = (typed: Values, units: Units, measure: Measure | undefined) => ({
  what: typed.what,
  on: typed.on,
  note: typed.note,
  distance: withUnit(typed.distance, units.distance) || null,
  nights: parseNumber(typed.nights) ?? 0,
  cost: parseNumber(typed.cost),
  condition: typed.condition === "" ? null : Number(typed.condition),
  reading:
    measure && typed.reading.trim() !== "" ? { what: measure.what, value: parseNumber(typed.reading) } : null,
});
