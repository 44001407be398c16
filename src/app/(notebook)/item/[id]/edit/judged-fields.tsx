import type { UseFormRegisterReturn } from "react-hook-form";
import { CONSEQUENCES, JOBS, LOADS, TRIGGERS } from "@/core/model/lists";
import { SelectField } from "@/ui/form/field";
import { asKind, type PartOfForm } from "./name-fields";

/** What decides how it is judged: blank is as its kind has it. */
export function JudgedFields({ form, field, kind }: PartOfForm) {
  return (
    <fieldset>
      <legend className="mb-2 font-head text-lg font-bold">How it is judged</legend>
      <div className="grid gap-4 sm:grid-cols-3">
        <SelectField label="Counts as" {...field("load")} options={[asKind(kind?.load), ...LOADS]} />
        <SelectField
          label="Cover"
          {...field("cover")}
          hint="carried in the hope of not needing it"
          options={[asKind(kind && (kind.cover ? "yes" : "no")), "yes", "no"]}
        />
        <SelectField
          label="If it were missing"
          {...field("consequence")}
          options={[asKind(kind?.consequence), ...CONSEQUENCES]}
        />
      </div>
      <Ticks
        label="Called for by"
        all={TRIGGERS}
        kinds={kind?.triggers ?? []}
        register={form.register("triggers")}
      />
      <Ticks label="Jobs" all={JOBS} kinds={kind?.jobs ?? []} register={form.register("jobs")} />
    </fieldset>
  );
}

interface TicksProps {
  readonly label: string;
  readonly all: readonly string[];
  readonly kinds: readonly string[];
  readonly register: UseFormRegisterReturn;
}

/** Tick some, or none: then it is as the kind has it. */
function Ticks({ label, all, kinds, register }: TicksProps) {
  return (
    <details className="mt-3">
      <summary className="label !list-item">
        {label} <span className="font-normal text-muted">(as its kind: {kinds.join(", ") || "–"})</span>
      </summary>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1" role="group" aria-label={label}>
        {all.map((each) => (
          <label key={each} className="flex min-h-8 items-center gap-1.5">
            <input type="checkbox" value={each} className="size-4" {...register} />
            {each}
          </label>
        ))}
      </div>
    </details>
  );
}
