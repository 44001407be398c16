"use client";

import { useFieldArray, type UseFormReturn } from "react-hook-form";
import { MOST_PARTS, MOST_SERVICES } from "@/core/model/lists";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { serviceUnits } from "@/ui/service-units";
import type { Values } from "./item-values";

interface ListProps {
  readonly form: UseFormReturn<Values>;
}

/** Services that its owner wants done, by their own count. */
export function OwnServices({ form, units }: ListProps & { units: Units }) {
  const {
    register,
    control,
    formState: { errors },
  } = form;
  const { fields, append, remove } = useFieldArray({ control, name: "services" });
  return (
    <section className="mt-4" aria-label="Services of your own">
      {fields.map((field, n) => (
        <div key={field.id} className="mb-2 flex flex-wrap items-start gap-2">
          <Field
            label="Have this done"
            placeholder="wax the zip"
            className="w-56"
            {...register(`services.${n}.what`)}
            error={errors.services?.[n]?.what?.message}
          />
          <Field
            label="every"
            inputMode="decimal"
            className="w-24"
            {...register(`services.${n}.every`)}
            error={errors.services?.[n]?.every?.message}
          />
          <SelectField
            label="of"
            className="w-32"
            {...register(`services.${n}.unit`)}
            options={serviceUnits(units)}
          />
          <button type="button" className="btn btn-plain mt-6" onClick={() => remove(n)}>
            Take off<span className="sr-only"> service {n + 1}</span>
          </button>
        </div>
      ))}
      {fields.length < MOST_SERVICES && (
        <button
          type="button"
          className="btn btn-plain"
          onClick={() => append({ what: "", every: "", unit: "nights" })}
        >
          Add a service of your own
        </button>
      )}
    </section>
  );
}

/** Parts with a life of their own: insoles, tips, an igniter. */
export function PartFields({ form }: ListProps) {
  const {
    register,
    control,
    formState: { errors },
  } = form;
  const { fields, append, remove } = useFieldArray({ control, name: "parts" });
  return (
    <section className="mt-2" aria-label="Parts">
      {fields.map((field, n) => (
        <div key={field.id} className="mb-2 flex flex-wrap items-start gap-2">
          <Field
            label="Part"
            placeholder="insoles"
            className="w-48"
            {...register(`parts.${n}.name`)}
            error={errors.parts?.[n]?.name?.message}
          />
          <Field
            label="new on"
            type="date"
            className="w-40"
            {...register(`parts.${n}.renewed`)}
            error={errors.parts?.[n]?.renewed?.message}
          />
          <Field
            label="Note on it"
            className="w-48"
            {...register(`parts.${n}.note`)}
            error={errors.parts?.[n]?.note?.message}
          />
          <button type="button" className="btn btn-plain mt-6" onClick={() => remove(n)}>
            Take off<span className="sr-only"> part {n + 1}</span>
          </button>
        </div>
      ))}
      {fields.length < MOST_PARTS && (
        <button
          type="button"
          className="btn btn-plain"
          onClick={() => append({ name: "", renewed: "", note: "" })}
        >
          Add a part
        </button>
      )}
    </section>
  );
}
