"use client";

import { useMemo, useState, type ChangeEvent } from "react";
import type { ItemId, SchoolName, TripId } from "@/core/model";
import { SCHOOL_NAMES, USES } from "@/core/model/lists";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { Changes } from "./changes";
import { askedOf, asItIs, type TypedSupposition } from "./supposition";
import { useWhatIf } from "./use-what-if";

interface Named<Id> {
  readonly id: Id;
  readonly name: string;
}

interface WhatIfProps {
  readonly school: SchoolName;
  readonly next: { readonly days: number; readonly metres: number };
  readonly units: Units;
  readonly trips: readonly Named<TripId>[];
  readonly items: readonly Named<ItemId>[];
}

/** Another school, another next trip, one mark otherwise: which verdicts would change. Nothing is kept. */
export function WhatIf(props: WhatIfProps) {
  const [open, setOpen] = useState(false);
  return (
    <details
      id="what-if"
      className="no-print mb-6 border-y border-rule py-2"
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="py-1 font-head text-lg font-bold">
        What if …{" "}
        <span className="font-sans text-sm font-normal text-muted">
          another school, a longer trip, one mark otherwise; nothing is kept
        </span>
      </summary>
      {open && <Supposing {...props} />}
    </details>
  );
}

function Supposing({ school, next, units, trips, items }: WhatIfProps) {
  const as = useMemo(() => asItIs({ school, next, units, trips }), [school, next, units, trips]);
  const [supposed, suppose] = useState(as);
  const asked = askedOf(supposed, as, units);
  const told = useWhatIf(asked);
  const wrong = told && !told.ok ? told.fields : {};
  const field = (name: keyof TypedSupposition) => ({
    value: supposed[name],
    onChange: ({ target }: ChangeEvent<HTMLInputElement | HTMLSelectElement>) =>
      suppose({ ...supposed, [name]: target.value }),
  });
  const noMark = supposed.item === "";
  return (
    <div className="py-2">
      <div className="grid gap-3 sm:grid-cols-3 lg:grid-cols-6">
        <SelectField
          label="School"
          {...field("school")}
          options={SCHOOL_NAMES.map((each) => [each, each === school ? `${each} (yours)` : each])}
        />
        <Field label="Next trip, days" inputMode="numeric" {...field("days")} error={wrong["next.days"]} />
        <Field
          label={`Next trip, ${units.distance}`}
          inputMode="decimal"
          {...field("distance")}
          error={wrong["next.metres"]}
        />
        <SelectField label="One mark: of" {...field("item")} options={[["", "none"], ...optionsOf(items)]} />
        <SelectField label="on" {...field("trip")} disabled={noMark} options={optionsOf(trips)} />
        <SelectField label="being" {...field("use")} disabled={noMark} options={USES} />
      </div>
      <div aria-live="polite" className="mt-3">
        {wrong[""] && <p className="error">{wrong[""]}</p>}
        {told?.ok && <Changes changes={told.value} />}
        {asked && (
          <button type="button" className="btn btn-plain mt-1" onClick={() => suppose(as)}>
            As it is
          </button>
        )}
      </div>
    </div>
  );
}

const optionsOf = (things: readonly Named<string>[]) => things.map(({ id, name }) => [id, name] as const);
