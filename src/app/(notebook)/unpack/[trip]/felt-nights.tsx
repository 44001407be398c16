"use client";

import { useState } from "react";
import { Felt, FeltNight, type ItemId, type Use } from "@/core/model";
import { alikeNights, isAlike, withLows } from "@/core/ledger/nights";
import { sayNights } from "@/core/say/nights";
import { parseTemperature } from "@/core/units/quantity";
import { count, sayDay, sayTemperature, type Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/field";
import { NightLog } from "./night-log";
import { ToldList } from "./told-list";

interface FeltNightsProps {
  readonly felt: readonly FeltNight[];
  /** Nights of the trip, and its first and last day. */
  readonly nights: number;
  readonly days: { readonly starts: string; readonly ends: string };
  readonly things: readonly {
    readonly id: ItemId;
    readonly name: string;
    readonly use: Use | null;
    /** It may be slept in or on. */
    readonly sleep: boolean;
    /** A bed or a pad: what a night is spent in where nothing else is said. */
    readonly bed: boolean;
  }[];
  readonly units: Units;
  readonly onChange: (felt: FeltNight[]) => Promise<void>;
}

/** How warm the nights were, and in what: one line for nights that were alike. */
export function FeltNights({ felt, nights, days, things, units, onChange }: FeltNightsProps) {
  const beds = things.filter(({ sleep }) => sleep);
  const [number, setNumber] = useState("1");
  const [low, setLow] = useState("");
  const [how, setHow] = useState<Felt>("right");
  const [slept, setSlept] = useState<readonly ItemId[]>(() =>
    beds.filter(({ bed, use }) => bed && use !== "unused").map(({ id }) => id),
  );
  const [errors, setErrors] = useState<{ number?: string; low?: string }>({});
  // A night that a thermometer told, and nobody said how it felt: it has a line of its own until then.
  const unfelt = felt.filter((night) => night.on !== null && night.felt === null);
  const told = alikeNights(felt.filter((night) => !unfelt.includes(night)));
  const left = nights - felt.length;
  const nameOf = (id: ItemId) => things.find((thing) => thing.id === id)?.name ?? id;
  const add = () => {
    const read = low.trim() === "" ? null : parseTemperature(low, units.temperature);
    const many = Number(number);
    const wrong = {
      number:
        !Number.isInteger(many) || many < 1
          ? "Write how many nights."
          : many > left
            ? `${count(left, "night")} of this trip ${left === 1 ? "is" : "are"} left to tell.`
            : undefined,
      low:
        read === null
          ? undefined
          : !read.ok
            ? read.why
            : FeltNight.shape.low.safeParse(read.value).error?.issues[0]?.message,
    };
    setErrors(wrong);
    if (wrong.number || wrong.low) return;
    setNumber("1");
    setLow("");
    void onChange([
      ...felt,
      ...Array.from({ length: many }, () => ({
        on: null,
        low: read?.ok ? read.value : null,
        felt: how,
        slept: [...slept],
      })),
    ]);
  };
  return (
    <fieldset className="mt-5">
      <legend className="label">
        How the nights were{" "}
        <span className="font-normal text-muted">
          {felt.length ? `${felt.length} of ${nights} told` : "where it is worth telling"}
        </span>
      </legend>
      <ToldList
        told={told.map((alike) => ({
          name: sayNights(alike, nameOf, units),
          says: sayNights(alike, nameOf, units),
        }))}
        onRemove={(n) => void onChange(felt.filter((night) => !isAlike(night, told[n]!)))}
      />
      {unfelt.map((night) => (
        <div
          key={night.on}
          role="group"
          aria-label={`How the night of ${sayDay(night.on!)} felt`}
          className="flex flex-wrap items-center gap-x-2 border-b border-rule py-1"
        >
          <span className="w-56">
            {sayDay(night.on!)}
            {night.low !== null && `, down to ${sayTemperature(night.low, units)}`}
          </span>
          {Felt.options.map((each) => (
            <button
              key={each}
              type="button"
              className="btn !min-h-8 pointer-coarse:!min-h-11"
              onClick={() =>
                void onChange(felt.map((other) => (other === night ? { ...night, felt: each } : other)))
              }
            >
              {each}
            </button>
          ))}
        </div>
      ))}
      <NightLog days={days} onRead={(lows) => void onChange(withLows(felt, lows, slept).slice(0, nights))} />
      {left > 0 && (
        <form
          className="mt-2 flex flex-wrap items-start gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
          noValidate
        >
          <Field
            label="Nights"
            inputMode="numeric"
            value={number}
            onChange={(event) => setNumber(event.target.value)}
            error={errors.number}
            className="w-24"
          />
          <SelectField
            label="They felt"
            value={how}
            onChange={(event) => setHow(event.target.value as Felt)}
            options={Felt.options}
            className="w-28"
          />
          <Field
            label={`Coldest, °${units.temperature}`}
            inputMode="text"
            value={low}
            onChange={(event) => setLow(event.target.value)}
            error={errors.low}
            className="w-36"
            placeholder="not known"
          />
          {beds.length > 0 && (
            <fieldset>
              <legend className="label">Slept in and on</legend>
              <div className="flex flex-wrap gap-x-4">
                {beds.map(({ id, name }) => (
                  <label key={id} className="flex min-h-10 items-center gap-2 pointer-coarse:min-h-11">
                    <input
                      type="checkbox"
                      className="size-4 accent-leaf"
                      checked={slept.includes(id)}
                      onChange={(event) =>
                        setSlept(event.target.checked ? [...slept, id] : slept.filter((each) => each !== id))
                      }
                    />
                    {name}
                  </label>
                ))}
              </div>
            </fieldset>
          )}
          <button className="btn mt-6 !min-h-10">
            Add<span className="sr-only"> the nights</span>
          </button>
        </form>
      )}
    </fieldset>
  );
}
