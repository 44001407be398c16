import { useState } from "react";
import type { Units } from "@/core/units/speak";
import { Field } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";

interface TypeWeightProps {
  readonly wrong: string | undefined;
  readonly units: Units;
  /** True: it is kept. */
  readonly onSave: (typed: string) => Promise<boolean>;
}

/** The weight as another scale says it. */
export function TypeWeight({ wrong, units, onSave }: TypeWeightProps) {
  const [typed, setTyped] = useState("");
  return (
    <PageForm
      className="mt-6 flex items-start gap-2"
      onSend={() => void onSave(typed).then((isKept) => isKept && setTyped(""))}
    >
      <Field
        label="Or type what your scale says"
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        error={wrong}
        className="w-56"
        placeholder={units.weight === "g" ? "312 g" : "11 oz"}
      />
      <button className="btn mt-6 btn-tall">Save</button>
    </PageForm>
  );
}
