import { useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { Trigger } from "@/core/model";
import { Field } from "@/ui/field";
import { Strengths } from "./strengths";
import type { TripValues } from "./trip-form-values";

/** A leg's own days and weather, folded away: where they are not said, they are the trip's. */
export function LegDetails({
  n,
  form: {
    register,
    watch,
    setValue,
    formState: { errors },
  },
  asked,
}: {
  n: number;
  form: UseFormReturn<TripValues>;
  asked: readonly Trigger[];
}) {
  const { starts, ends } = errors.legs?.[n] ?? {};
  const [open, setOpen] = useState(false);
  return (
    <details
      className="col-span-full -mt-2"
      open={open || Boolean(starts ?? ends)}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="py-1 text-sm">Days and weather of leg {n + 1}, where they differ</summary>
      <div className="grid max-w-md grid-cols-2 gap-3">
        <Field label="From" type="date" {...register(`legs.${n}.starts`)} error={starts?.message} />
        <Field label="To" type="date" {...register(`legs.${n}.ends`)} error={ends?.message} />
      </div>
      <div className="mt-2 grid gap-x-8 gap-y-1 sm:grid-cols-2">
        {asked.map((trigger) => (
          <Strengths
            key={trigger}
            what={trigger}
            group={`leg-${n}-${trigger}`}
            value={watch(`legs.${n}.conditions.${trigger}`)}
            onChange={(strength) =>
              setValue(`legs.${n}.conditions.${trigger}`, strength, { shouldDirty: true })
            }
          />
        ))}
      </div>
    </details>
  );
}
