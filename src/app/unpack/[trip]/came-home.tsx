"use client";

import { useState } from "react";
import type { Supply } from "@/core/model";
import { inUnitOf, parseAmount } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field } from "@/ui/field";
import { ToldList } from "./told-list";

/** Food, fuel, water, charge: how much went out, and how much came home again. */
export function CameHome({
  supplies,
  names,
  units,
  onChange,
}: {
  supplies: readonly Supply[];
  names: readonly string[];
  units: Units;
  onChange: (supplies: Supply[]) => Promise<void>;
}) {
  const [typed, setTyped] = useState({ what: "", out: "", back: "" });
  const [errors, setErrors] = useState<{ what?: string; out?: string; back?: string }>({});
  const type = (field: keyof typeof typed) => (event: React.ChangeEvent<HTMLInputElement>) =>
    setTyped({ ...typed, [field]: event.target.value });
  const add = () => {
    const out = parseAmount(typed.out);
    const back = parseAmount(typed.back);
    const unit = out.ok && back.ok ? out.value.unit || back.value.unit : "";
    const home = back.ok ? inUnitOf(back.value.value, back.value.unit || unit, unit) : null;
    const wrong = {
      what: typed.what.trim() === "" ? "Say what it was: gas, food, water …" : undefined,
      out: out.ok ? undefined : out.why,
      back: !back.ok
        ? back.why
        : home === null
          ? `Say it in ${unit}, like what went out.`
          : out.ok && home > out.value.value
            ? "More than went out. What was bought on the way counts as gone out."
            : undefined,
    };
    setErrors(wrong);
    if (!out.ok || home === null || Object.values(wrong).some(Boolean)) return;
    setTyped({ what: "", out: "", back: "" });
    void onChange([...supplies, { what: typed.what.trim(), unit, out: out.value.value, back: home }]);
  };
  return (
    <fieldset className="mt-5">
      <legend className="label">Came home uneaten, undrunk, unburnt</legend>
      <ToldList
        told={supplies.map(({ what, unit, out, back }) => ({
          name: what,
          says: (
            <>
              {what}{" "}
              <span className="ml-2 text-sm text-muted">
                {back} of {out} {unit}
              </span>
            </>
          ),
        }))}
        onRemove={(n) => void onChange(supplies.filter((_, index) => index !== n))}
      />
      <form
        className="mt-2 flex flex-wrap items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
        noValidate
      >
        <Field
          label="Of what"
          list="consumables"
          value={typed.what}
          onChange={type("what")}
          error={errors.what}
          className="w-44"
          maxLength={120}
          autoComplete="off"
        />
        <datalist id="consumables">
          {names.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        <Field
          label="Went out"
          value={typed.out}
          onChange={type("out")}
          error={errors.out}
          className="w-32"
          placeholder={units.weight === "g" ? "460 g" : "16 oz"}
        />
        <Field
          label="Came back"
          value={typed.back}
          onChange={type("back")}
          error={errors.back}
          className="w-32"
          placeholder={units.weight === "g" ? "120 g" : "4 oz"}
        />
        <button className="btn mt-6 !min-h-10">
          Add<span className="sr-only"> what came home</span>
        </button>
      </form>
    </fieldset>
  );
}
