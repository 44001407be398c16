"use client";

import { useState } from "react";
import { alikeNights, isAlike, withLows } from "@/core/ledger/nights";
import type { Felt, FeltNight, ItemId, Use } from "@/core/model";
import { FELTS, SPOILS } from "@/core/model/lists";
import { sayNights } from "@/core/say/walk/nights";
import { sayDay, sayTemperature, type Units } from "@/core/units/speak";
import { Field, oneOf, SelectField } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { NightGrid } from "./night-grid";
import { NightLog } from "./night-log";
import { readNights, type TypedNights, type WrongNights } from "./nights-typed";
import { ToldList } from "./told-list";

interface SleptIn {
  readonly id: ItemId;
  readonly name: string;
  readonly use: Use | null;
  /** It may be slept in or on. */
  readonly sleep: boolean;
  /** A bed or a pad: what a night is spent in where nothing else is said. */
  readonly bed: boolean;
}

interface FeltNightsProps {
  readonly felt: readonly FeltNight[];
  /** Nights of the trip, and its first and last day. */
  readonly nights: number;
  readonly days: { readonly starts: string; readonly ends: string };
  readonly things: readonly SleptIn[];
  readonly units: Units;
  readonly onChange: (felt: FeltNight[]) => Promise<void>;
}

/** How warm the nights were, and in what: one line for nights that were alike. */
export function FeltNights({ felt, nights, days, things, units, onChange }: FeltNightsProps) {
  const beds = things.filter(({ sleep }) => sleep);
  const usual = beds.filter(({ bed, use }) => bed && use !== "unused").map(({ id }) => id);
  const [slept, setSlept] = useState<readonly ItemId[]>(usual);
  // A night that a thermometer told, and nobody said how it felt: it has a line of its own until then.
  const unfelt = felt.filter((night) => night.on !== null && night.felt === null);
  const told = alikeNights(felt.filter((night) => !unfelt.includes(night))).map((alike) => ({
    alike,
    words: sayNights(alike, (id) => things.find((thing) => thing.id === id)?.name ?? id, units),
  }));
  const left = nights - felt.length;
  return (
    <fieldset className="mt-5">
      <legend className="label">
        How the nights were{" "}
        <span className="font-normal text-muted">
          {felt.length ? `${felt.length} of ${nights} told` : "where it is worth telling"}
        </span>
      </legend>
      <ToldList
        told={told.map(({ words }) => ({ name: words, says: words }))}
        onRemove={(n) => {
          const removed = told[n]?.alike;
          if (removed) void onChange(felt.filter((night) => !isAlike(night, removed)));
        }}
      />
      {unfelt.map((night) => (
        <UnfeltNight
          key={night.on}
          night={night}
          units={units}
          onFelt={(how) =>
            void onChange(felt.map((other) => (other === night ? { ...night, felt: how } : other)))
          }
        />
      ))}
      <details className="mt-2">
        <summary className="py-2 pointer-coarse:py-3">Night by night</summary>
        <NightGrid
          key={felt.flatMap(({ on, low, felt: how }) => (on ? [on, low, how].join() : [])).join(" ")}
          felt={felt}
          nights={nights}
          starts={days.starts}
          usual={slept}
          units={units}
          onKeep={(all) => void onChange(all)}
        />
      </details>
      <NightLog days={days} onRead={(lows) => void onChange(withLows(felt, lows, slept).slice(0, nights))} />
      {left > 0 && (
        <AddNights
          beds={beds}
          slept={slept}
          left={left}
          units={units}
          onSlept={setSlept}
          onAdd={(more) => void onChange([...felt, ...more])}
        />
      )}
    </fieldset>
  );
}

interface UnfeltNightProps {
  readonly night: FeltNight;
  readonly units: Units;
  readonly onFelt: (how: Felt) => void;
}

/** A night with its low, waiting to be told how it felt: one press. */
function UnfeltNight({ night, units, onFelt }: UnfeltNightProps) {
  const day = sayDay(night.on ?? "");
  return (
    <div
      role="group"
      aria-label={`How the night of ${day} felt`}
      className="flex flex-wrap items-center gap-x-2 border-b border-rule py-1"
    >
      <span className="w-56">
        {day}
        {night.low !== null && `, down to ${sayTemperature(night.low, units)}`}
      </span>
      {FELTS.map((each) => (
        <button key={each} type="button" className="btn !min-h-8" onClick={() => onFelt(each)}>
          {each}
        </button>
      ))}
    </div>
  );
}

interface AddNightsProps {
  readonly beds: readonly SleptIn[];
  readonly slept: readonly ItemId[];
  /** Nights that are left to tell. */
  readonly left: number;
  readonly units: Units;
  readonly onSlept: (slept: readonly ItemId[]) => void;
  readonly onAdd: (nights: FeltNight[]) => void;
}

function AddNights({ beds, slept, left, units, onSlept, onAdd }: AddNightsProps) {
  const [typed, setTyped] = useState<Omit<TypedNights, "slept">>({
    number: "1",
    low: "",
    felt: "right",
    roof: false,
    spoilt: "",
  });
  const [wrong, setWrong] = useState<WrongNights>({});
  const add = () => {
    const read = readNights({ ...typed, slept }, left, units);
    setWrong(read.ok ? {} : read.wrong);
    if (!read.ok) return;
    setTyped({ ...typed, number: "1", low: "", spoilt: "" });
    onAdd(read.nights);
  };
  return (
    <PageForm className="mt-2 flex flex-wrap items-start gap-2" onSend={() => add()}>
      <Field
        label="Nights"
        inputMode="numeric"
        value={typed.number}
        onChange={({ target }) => setTyped({ ...typed, number: target.value })}
        error={wrong.number}
        className="w-24"
      />
      <SelectField
        label="They felt"
        value={typed.felt}
        onChange={({ target }) => setTyped({ ...typed, felt: oneOf(FELTS, target.value) ?? typed.felt })}
        options={FELTS}
        className="w-28"
      />
      <Field
        label={`Coldest, °${units.temperature}`}
        inputMode="text"
        value={typed.low}
        onChange={({ target }) => setTyped({ ...typed, low: target.value })}
        error={wrong.low}
        className="w-36"
        placeholder="not known"
      />
      <SelectField
        label="Spoilt by"
        value={typed.spoilt}
        onChange={({ target }) => setTyped({ ...typed, spoilt: oneOf(SPOILS, target.value) ?? "" })}
        options={[["", "nothing else"], ...SPOILS]}
        className="w-40"
      />
      <SelectField
        label="Where"
        value={typed.roof ? "roof" : "out"}
        onChange={({ target }) => setTyped({ ...typed, roof: target.value === "roof" })}
        options={[
          ["out", "out"],
          ["roof", "under a roof"],
        ]}
        className="w-36"
      />
      {beds.length > 0 && <SleptBoxes beds={beds} slept={slept} onSlept={onSlept} />}
      <button className="btn mt-6 btn-tall">
        Add<span className="sr-only"> the nights</span>
      </button>
    </PageForm>
  );
}

function SleptBoxes({ beds, slept, onSlept }: Pick<AddNightsProps, "beds" | "slept" | "onSlept">) {
  return (
    <fieldset>
      <legend className="label">Slept in and on</legend>
      <div className="flex flex-wrap gap-x-4">
        {beds.map(({ id, name }) => (
          <label key={id} className="flex min-h-10 items-center gap-2 pointer-coarse:min-h-11">
            <input
              type="checkbox"
              className="size-4 accent-leaf"
              checked={slept.includes(id)}
              onChange={({ target }) =>
                onSlept(target.checked ? [...slept, id] : slept.filter((each) => each !== id))
              }
            />
            {name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
