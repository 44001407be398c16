"use client";

import { useState, type ChangeEvent } from "react";
import type { Supply } from "@/core/model";
import { SUPPLY_SORTS } from "@/core/model/lists";
import { parseNumber } from "@/core/units/quantity";
import { LEAST_GAS_PER_LITRE } from "@/core/trade/supplies";
import type { Units } from "@/core/units/speak";
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
        told={supplies.map((supply) => ({ name: supply.what, says: <SupplyLine supply={supply} /> }))}
        onRemove={(n) => void onChange(supplies.filter((_, index) => index !== n))}
      />
      <AddSupply names={names} units={units} onAdd={(supply) => void onChange([...supplies, supply])} />
      <Boiled boiled={boiled} burnt={gasBurnt(supplies)} onBoiled={onBoiled} />
    </fieldset>
  );
}

function SupplyLine({ supply: { what, unit, out, back, reserve } }: { supply: Supply }) {
  return (
    <>
      {what}{" "}
      <span className="ml-2 text-sm text-muted">
        {back} of {out} {unit}
        {reserve > 0 && `, ${reserve} ${unit} of it a reserve`}
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

interface BoiledProps extends Pick<CameHomeProps, "boiled" | "onBoiled"> {
  /** Grams of gas that were burnt; null where nobody told. */
  readonly burnt: number | null;
}

function Boiled({ boiled, burnt, onBoiled }: BoiledProps) {
  const [wrong, setWrong] = useState<string>();
  return (
    <Field
      label="Water boiled, litres"
      defaultValue={boiled ?? ""}
      inputMode="decimal"
      error={wrong ?? tooMuchFor(burnt, boiled)}
      hint="where you kept count: gas is then reckoned by the litre"
      className="mt-3 w-64"
      onBlur={({ target }) => {
        const litres = parseNumber(target.value);
        const isWrong = litres !== null && !(litres >= 0);
        setWrong(isWrong ? "Write how many litres, like 9.5." : undefined);
        if (!isWrong && litres !== boiled) void onBoiled(litres);
      }}
    />
  );
}

/** More was boiled than the gas that was told can have: one of the two readings is wrong. */
const tooMuchFor = (burnt: number | null, boiled: number | null): string | undefined =>
  burnt !== null && boiled !== null && boiled * LEAST_GAS_PER_LITRE > burnt
    ? `${boiled} L want at least ${Math.ceil(boiled * LEAST_GAS_PER_LITRE)} g of gas, and ${Math.round(burnt)} g were burnt. Look at both readings.`
    : undefined;
