"use client";

import { useState } from "react";
import { MOST_SERVICES, type OwnService, type ServiceUnit } from "@/core/model";
import { sayServiceCount, wearFromNumber } from "@/core/say/words";
import { parseNumber } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { serviceUnits } from "@/ui/service-units";

const BLANK = { what: "", every: "", unit: "nights" as ServiceUnit };

/** Services that an owner wants done on everything of a kind, beside the trade's. */
export function KindServices({
  kind,
  own,
  units,
  errors,
  onKeep,
}: {
  kind: string;
  own: readonly OwnService[];
  units: Units;
  errors: Readonly<Record<string, string>>;
  onKeep: (own: readonly OwnService[]) => void;
}) {
  const [typed, setTyped] = useState(BLANK);
  const [wrong, setWrong] = useState<{ what?: string; every?: string }>({});
  const add = () => {
    const number = parseNumber(typed.every);
    const isNumber = number !== null && !Number.isNaN(number) && number > 0;
    if (typed.what.trim() === "" || !isNumber)
      return setWrong({
        ...(typed.what.trim() === "" && { what: "Say what is to be done." }),
        ...(!isNumber && { every: "Write how often, as a number." }),
      });
    setWrong({});
    setTyped(BLANK);
    onKeep([
      ...own,
      {
        what: typed.what.trim(),
        unit: typed.unit,
        every: typed.unit === "m" ? wearFromNumber(number, "m", units) : number,
      },
    ]);
  };
  return (
    <section className="mt-4" aria-label={`Services of your own for every ${kind}`}>
      <ul>
        {own.map((service, n) => (
          <li key={n} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="flex-1">
              {service.what}, every {sayServiceCount(service.every, service.unit, units)}
            </span>
            <button
              type="button"
              className="btn btn-plain"
              onClick={() => onKeep(own.filter((_, each) => each !== n))}
            >
              Take off<span className="sr-only"> {service.what}</span>
            </button>
          </li>
        ))}
      </ul>
      {own.length < MOST_SERVICES && (
        <form
          noValidate
          className="mt-2 flex flex-wrap items-start gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
        >
          <Field
            label={`Have this done to every ${kind}`}
            placeholder="wash out the salt"
            className="w-64"
            maxLength={80}
            value={typed.what}
            error={wrong.what ?? errors[`kinds.${kind}.own.${own.length - 1}.what`]}
            onChange={(event) => setTyped({ ...typed, what: event.target.value })}
          />
          <Field
            label="every"
            inputMode="decimal"
            className="w-24"
            value={typed.every}
            error={wrong.every}
            onChange={(event) => setTyped({ ...typed, every: event.target.value })}
          />
          <SelectField
            label="of"
            className="w-32"
            value={typed.unit}
            options={serviceUnits(units)}
            onChange={(event) => setTyped({ ...typed, unit: event.target.value as ServiceUnit })}
          />
          <button className="btn mt-6">
            Add<span className="sr-only"> the service</span>
          </button>
        </form>
      )}
    </section>
  );
}
