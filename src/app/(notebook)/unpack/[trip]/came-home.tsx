"use client";

import { useState } from "react";
import { SupplySort, type Supply } from "@/core/model";
import { inUnitOf, parseAmount, parseNumber } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/field";
import { ToldList } from "./told-list";

const BLANK = { what: "", out: "", back: "", reserve: "", sort: "" };

/** Food, fuel, water, charge: how much went out, and how much came home again. */
export function CameHome({
  supplies,
  boiled,
  names,
  units,
  onChange,
  onBoiled,
}: {
  supplies: readonly Supply[];
  /** Litres of water brought to the boil; null: not told. */
  boiled: number | null;
  names: readonly string[];
  units: Units;
  onChange: (supplies: Supply[]) => Promise<void>;
  onBoiled: (litres: number | null) => Promise<void>;
}) {
  const [typed, setTyped] = useState(BLANK);
  const [errors, setErrors] = useState<Partial<Record<keyof typeof BLANK, string>>>({});
  const [wrongBoiled, setWrongBoiled] = useState<string>();
  const type =
    (field: keyof typeof typed) => (event: React.ChangeEvent<HTMLInputElement | HTMLSelectElement>) =>
      setTyped({ ...typed, [field]: event.target.value });
  const add = () => {
    const out = parseAmount(typed.out);
    const back = parseAmount(typed.back);
    const unit = out.ok && back.ok ? out.value.unit || back.value.unit : "";
    const spare = typed.reserve.trim() === "" ? null : parseAmount(typed.reserve);
    const kept = spare?.ok ? inUnitOf(spare.value.value, spare.value.unit || unit, unit) : null;
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
      reserve:
        spare === null
          ? undefined
          : !spare.ok
            ? spare.why
            : kept === null
              ? `Say it in ${unit}, like what went out.`
              : out.ok && kept > out.value.value
                ? "More than went out."
                : undefined,
    };
    setErrors(wrong);
    if (!out.ok || home === null || Object.values(wrong).some(Boolean)) return;
    setTyped(BLANK);
    const supply = { what: typed.what.trim(), unit, out: out.value.value, back: home };
    void onChange([
      ...supplies,
      { ...supply, sort: typed.sort === "" ? null : SupplySort.parse(typed.sort), reserve: kept ?? 0 },
    ]);
  };
  return (
    <fieldset className="mt-5">
      <legend className="label">Came home uneaten, undrunk, unburnt</legend>
      <ToldList
        told={supplies.map(({ what, unit, out, back, reserve }) => ({
          name: what,
          says: (
            <>
              {what}{" "}
              <span className="ml-2 text-sm text-muted">
                {back} of {out} {unit}
                {reserve > 0 && `, ${reserve} ${unit} of it a reserve`}
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
        <Field
          label="Of it a reserve"
          value={typed.reserve}
          onChange={type("reserve")}
          error={errors.reserve}
          className="w-32"
          placeholder="none"
        />
        <SelectField
          label="Counts as"
          value={typed.sort}
          onChange={type("sort")}
          className="w-40"
          options={[["", "as its name tells"], ...SupplySort.options]}
        />
        <button className="btn mt-6 !min-h-10">
          Add<span className="sr-only"> what came home</span>
        </button>
      </form>
      <Field
        label="Water boiled, litres"
        defaultValue={boiled ?? ""}
        inputMode="decimal"
        error={wrongBoiled}
        hint="where you kept count: gas is then reckoned by the litre"
        className="mt-3 w-64"
        onBlur={({ target }) => {
          const litres = parseNumber(target.value);
          const isWrong = litres !== null && !(litres >= 0);
          setWrongBoiled(isWrong ? "Write how many litres, like 9.5." : undefined);
          if (!isWrong && litres !== boiled) void onBoiled(litres);
        }}
      />
    </fieldset>
  );
}
