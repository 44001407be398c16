"use client";

import { useRouter } from "next/navigation";
import { EntryWhat, type ItemId } from "@/core/model";
import { parseNumber, withUnit } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { sayWithUndo } from "@/ui/undo";
import { useAnsweredForm } from "@/ui/use-answered-form";
import { logEntry, takeEntryBack } from "./actions";

interface Values {
  what: string;
  on: string;
  distance: string;
  nights: string;
  cost: string;
  condition: string;
  reading: string;
  note: string;
}

/** A thing that can be measured on this item. */
interface Measure {
  readonly what: string;
  readonly unit: string;
}

/** A wash, a repair, a look with its readings, wear in town: what happened between trips. */
export function EntryForm({
  item,
  today,
  readings: [measure],
  units,
}: {
  item: ItemId;
  today: string;
  readings: readonly Measure[];
  units: Units;
}) {
  const router = useRouter();
  const blank: Values = {
    what: "repair",
    on: today,
    distance: "",
    nights: "",
    cost: "",
    condition: "",
    reading: "",
    note: "",
  };
  const { form, ask, submit, busy, wrong } = useAnsweredForm<Values, string>(
    blank,
    ({ what, on, distance, nights, cost, condition, reading, note }, sure) =>
      logEntry(
        {
          item,
          what,
          on,
          note,
          distance: withUnit(distance, units.distance) || null,
          nights: parseNumber(nights) ?? 0,
          cost: parseNumber(cost),
          condition: condition === "" ? null : Number(condition),
          reading:
            measure && reading.trim() !== "" ? { what: measure.what, value: parseNumber(reading) } : null,
        },
        sure,
      ),
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
  const {
    register,
    watch,
    formState: { errors },
  } = form;
  return (
    <form onSubmit={submit(false)} noValidate className="space-y-3" aria-labelledby="entry-title">
      <h2 id="entry-title" className="border-b-2 border-ink pb-1 text-lg">
        Between trips
      </h2>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="What"
          {...register("what")}
          options={EntryWhat.options.filter((what) => what !== "own service")}
        />
        <Field label="On" type="date" {...register("on")} error={errors.on?.message} />
        {watch("what") === "wear" && (
          <>
            <Field
              label="Distance"
              {...register("distance")}
              error={errors.distance?.message}
              placeholder={`120 ${units.distance}`}
            />
            <Field
              label="Nights"
              inputMode="decimal"
              {...register("nights")}
              error={errors.nights?.message}
            />
          </>
        )}
        {["check", "service", "repair", "wash"].includes(watch("what")) && (
          <>
            <SelectField
              label="Condition now"
              {...register("condition")}
              error={errors.condition?.message}
              options={[["", "not graded"], ["5", "5 as new"], "4", "3", "2", "1", ["0", "0 gone"]]}
            />
            {measure && (
              <Field
                label={`Its ${measure.what}, ${measure.unit}`}
                inputMode="decimal"
                {...register("reading")}
                error={
                  errors.reading?.message ??
                  (errors.reading as { value?: { message?: string } } | undefined)?.value?.message
                }
              />
            )}
          </>
        )}
        <Field label="Cost" inputMode="decimal" {...register("cost")} error={errors.cost?.message} />
        <Field label="Note" {...register("note")} error={errors.note?.message} />
      </div>
      {wrong && (
        <p role="alert" className="error">
          {wrong}
        </p>
      )}
      {ask ? (
        <p role="alert" className="flex flex-wrap items-center gap-2 border-l-4 border-catkin-strong pl-3">
          {ask}
          <button type="button" className="btn" onClick={submit(true)}>
            Yes, log it
          </button>
        </p>
      ) : (
        <button className="btn" disabled={busy}>
          Log it
        </button>
      )}
    </form>
  );
}
