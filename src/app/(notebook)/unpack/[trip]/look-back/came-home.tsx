"use client";

import { useState, type ChangeEvent } from "react";
import type { Supply } from "@/core/model";
import { SUPPLY_SORTS } from "@/core/model/lists";
import { sayAmount, sayCameHome } from "@/core/say/supplies";
import { inBaseUnit, parseNumber } from "@/core/units/quantity";
import { LEAST_GAS_PER_LITRE } from "@/core/trade/supplies";
import { litresIn, pouredUnit, sayMass, sayPoured, type Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { BLANK_SUPPLY, gasBurnt, readSupply, type TypedSupply, type WrongSupply } from "./supply-typed";
import { ToldList } from "./told-list";

interface CameHomeProps {
  readonly supplies: readonly Supply[];
  /** Litres of water brought to the boil; null: not told. */
  readonly boiled: number | null;
  readonly names: readonly string[];
  readonly units: Units;
  readonly onChange: (supplies: Supply[]) => Promise<void>;
  readonly onBoiled: (litres: number | null) => Promise<void>;
}

/** Food, fuel, water, charge: how much went out, and how much came home again. */
export function CameHome({ supplies, boiled, names, units, onChange, onBoiled }: CameHomeProps) {
  return (
    <fieldset className="mt-5">
      <legend className="label">Came home uneaten, undrunk, unburnt</legend>
      <ToldList
        told={supplies.map((supply) => ({
          name: supply.what,
          says: <SupplyLine supply={supply} units={units} />,
        }))}
        onRemove={(n) => void onChange(supplies.filter((_, index) => index !== n))}
      />
      <AddSupply names={names} units={units} onAdd={(supply) => void onChange([...supplies, supply])} />
      <Boiled units={units} boiled={boiled} burnt={gasBurnt(supplies)} onBoiled={onBoiled} />
    </fieldset>
  );
}

function SupplyLine({ supply, units }: { supply: Supply; units: Units }) {
  const { what, unit, reserve } = supply;
  const kept = inBaseUnit(reserve, unit);
  return (
    <>
      {what}{" "}
      <span className="ml-2 text-sm text-muted">
        {sayCameHome(supply, units)}
        {reserve > 0 && `, ${sayAmount(kept.value, kept.unit, units)} of it a reserve`}
      </span>
    </>
  );
}

interface AddSupplyProps {
  readonly names: readonly string[];
  readonly units: Units;
  readonly onAdd: (supply: Supply) => void;
}

function AddSupply({ names, units, onAdd }: AddSupplyProps) {
  const [typed, setTyped] = useState(BLANK_SUPPLY);
  const [wrong, setWrong] = useState<WrongSupply>({});
  const field = (name: keyof TypedSupply) => ({
    value: typed[name],
    error: wrong[name],
    onChange: ({ target }: ChangeEvent<HTMLInputElement | HTMLSelectElement>) =>
      setTyped({ ...typed, [name]: target.value }),
  });
  const add = () => {
    const read = readSupply(typed);
    setWrong(read.ok ? {} : read.wrong);
    if (!read.ok) return;
    setTyped(BLANK_SUPPLY);
    onAdd(read.supply);
  };
  const [out, back] = units.weight === "g" ? ["460 g", "120 g"] : ["16 oz", "4 oz"];
  return (
    <PageForm className="mt-2 flex flex-wrap items-start gap-2" onSend={() => add()}>
      <Field
        label="Of what"
        list="consumables"
        {...field("what")}
        className="w-44"
        maxLength={120}
        autoComplete="off"
      />
      <datalist id="consumables">
        {names.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <Field label="Went out" {...field("out")} className="w-32" placeholder={out} />
      <Field label="Came back" {...field("back")} className="w-32" placeholder={back} />
      <Field label="Of it a reserve" {...field("reserve")} className="w-32" placeholder="none" />
      <SelectField
        label="Counts as"
        {...field("sort")}
        className="w-40"
        options={[["", "as its name tells"], ...SUPPLY_SORTS]}
      />
      <button className="btn mt-6 btn-tall">
        Add<span className="sr-only"> what came home</span>
      </button>
    </PageForm>
  );
}

interface BoiledProps extends Pick<CameHomeProps, "boiled" | "units" | "onBoiled"> {
  /** Grams of gas that were burnt; null where nobody told. */
  readonly burnt: number | null;
}

function Boiled({ boiled, units, burnt, onBoiled }: BoiledProps) {
  const [wrong, setWrong] = useState<string>();
  const shown = boiled === null ? "" : String(Math.round((boiled / litresIn(units)) * 100) / 100);
  return (
    <Field
      label={`Water boiled, ${pouredUnit(units)}`}
      defaultValue={shown}
      inputMode="decimal"
      error={wrong ?? tooMuchFor(burnt, boiled, units)}
      hint="where you kept count: gas is then reckoned by it"
      className="mt-3 w-64"
      onBlur={({ target }) => {
        if (target.value.trim() === shown) return setWrong(undefined);
        const typed = parseNumber(target.value);
        const isWrong = typed !== null && !(typed >= 0);
        setWrong(isWrong ? `Write how many ${pouredUnit(units)}, like 9.5.` : undefined);
        if (!isWrong) void onBoiled(typed === null ? null : typed * litresIn(units));
      }}
    />
  );
}

/** More was boiled than the gas that was told can have: one of the two readings is wrong. */
const tooMuchFor = (burnt: number | null, boiled: number | null, units: Units): string | undefined =>
  burnt !== null && boiled !== null && boiled * LEAST_GAS_PER_LITRE > burnt
    ? `${sayPoured(boiled, units)} want at least ${sayMass(Math.ceil(boiled * LEAST_GAS_PER_LITRE), units)} of gas, ` +
      `and ${sayMass(burnt, units)} were burnt. Look at both readings.`
    : undefined;
