"use client";

import { useState } from "react";
import type { Consequence, Missed } from "@/core/model";
import { Field, SelectField } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { ToldList } from "./told-list";

/** What was not in the pack and should have been. */
export function MissedThings({
  missed,
  onChange,
}: {
  missed: readonly Missed[];
  onChange: (missed: Missed[]) => Promise<void>;
}) {
  const [what, setWhat] = useState("");
  const [cost, setCost] = useState<Consequence>("discomfort");
  const [error, setError] = useState<string>();
  const add = () => {
    if (what.trim() === "") return setError("Say what was missed.");
    setError(undefined);
    setWhat("");
    void onChange([...missed, { what: what.trim(), job: null, cost }]);
  };
  return (
    <fieldset className="mt-5">
      <legend className="label">Missed on the way</legend>
      <ToldList
        told={missed.map((one) => ({
          name: one.what,
          says: (
            <>
              {one.what} <span className="ml-2 text-sm text-muted">{one.cost}</span>
            </>
          ),
        }))}
        onRemove={(n) => void onChange(missed.filter((_, index) => index !== n))}
      />
      <PageForm className="mt-2 flex flex-wrap items-end gap-2" onSend={() => add()}>
        <Field
          label="What"
          value={what}
          onChange={(event) => setWhat(event.target.value)}
          error={error}
          className="w-56"
          maxLength={120}
        />
        <SelectField
          label="Its absence was"
          value={cost}
          onChange={(event) => setCost(event.target.value as Consequence)}
          options={[
            ["nuisance", "a nuisance"],
            ["discomfort", "discomfort"],
            ["trip-ending", "the end of the trip"],
            ["danger", "dangerous"],
          ]}
          className="w-52"
        />
        <button className="btn mb-px btn-tall">Add</button>
      </PageForm>
    </fieldset>
  );
}
