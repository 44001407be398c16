"use client";

import { useState } from "react";
import type { OwnService, ServiceUnit } from "@/core/model";
import { MOST_SERVICES, SERVICE_UNITS } from "@/core/model/lists";
import { sayServiceCount, wearFromNumber } from "@/core/say/wear";
import { parseNumber } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";
import { Field, oneOf, SelectField } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { serviceUnits } from "@/ui/service-units";

interface Typed {
  readonly what: string;
  readonly every: string;
  readonly unit: ServiceUnit;
}
const BLANK: Typed = { what: "", every: "", unit: "nights" };

interface KindServicesProps {
  readonly kind: string;
  readonly own: readonly OwnService[];
  readonly units: Units;
  readonly errors: Readonly<Record<string, string>>;
  readonly onKeep: (own: readonly OwnService[]) => void;
}

/** Services that an owner wants done on everything of a kind, beside the trade's. */
export function KindServices({ kind, own, units, errors, onKeep }: KindServicesProps) {
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
        <AddService
          kind={kind}
          units={units}
          refused={errors[`kinds.${kind}.own.${own.length - 1}.what`]}
          onAdd={(service) => onKeep([...own, service])}
        />
      )}
    </section>
  );
}

interface AddServiceProps {
  readonly kind: string;
  readonly units: Units;
  /** What the server had against the last one. */
  readonly refused: string | undefined;
  readonly onAdd: (service: OwnService) => void;
}

function AddService({ kind, units, refused, onAdd }: AddServiceProps) {
  const [typed, setTyped] = useState(BLANK);
  const [wrong, setWrong] = useState<{ what?: string; every?: string }>({});
  const add = () => {
    const what = typed.what.trim();
    const every = parseNumber(typed.every);
    const isNumber = every !== null && every > 0;
    setWrong({
      what: what === "" ? "Say what is to be done." : undefined,
      every: isNumber ? undefined : "Write how often, as a number.",
    });
    if (what === "" || !isNumber) return;
    setTyped(BLANK);
    const { unit } = typed;
    onAdd({ what, unit, every: unit === "m" ? wearFromNumber(every, "m", units) : every });
  };
  return (
    <PageForm className="mt-2 flex flex-wrap items-start gap-2" onSend={() => add()}>
      <Field
        label={`Have this done to every ${kind}`}
        placeholder="wash out the salt"
        className="w-64"
        maxLength={80}
        value={typed.what}
        error={wrong.what ?? refused}
        onChange={({ target }) => setTyped({ ...typed, what: target.value })}
      />
      <Field
        label="every"
        inputMode="decimal"
        className="w-24"
        value={typed.every}
        error={wrong.every}
        onChange={({ target }) => setTyped({ ...typed, every: target.value })}
      />
      <SelectField
        label="of"
        className="w-32"
        value={typed.unit}
        options={serviceUnits(units)}
        onChange={({ target }) =>
          setTyped({ ...typed, unit: oneOf(SERVICE_UNITS, target.value) ?? typed.unit })
        }
      />
      <button className="btn mt-6">
        Add<span className="sr-only"> the service</span>
      </button>
    </PageForm>
  );
}
