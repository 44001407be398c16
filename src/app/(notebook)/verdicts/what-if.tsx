"use client";

import Link from "next/link";
import { useEffect, useState } from "react";
import { SchoolName, Use, type ItemId, type TripId, type Verb } from "@/core/model";
import type { Units } from "@/core/units/speak";
import type { Urgency } from "@/core/model";
import { wearFromNumber, wearNumber } from "@/core/say/words";
import { parseNumber } from "@/core/units/quantity";
import type { Answer } from "@/ui/form/answer";
import { Field, SelectField } from "@/ui/form/field";
import { VerbWord } from "@/ui/verb-word";
import { itemPath } from "@/ui/paths";

/** A verdict that would be another, as much of it as is shown. */
export interface ToldChange {
  readonly item: ItemId;
  readonly name: string;
  readonly from: { readonly verb: Verb; readonly urgency: Urgency };
  readonly to: { readonly verb: Verb; readonly urgency: Urgency; readonly says: string };
}

interface Named<Id> {
  readonly id: Id;
  readonly name: string;
}

interface WhatIfProps {
  readonly school: SchoolName;
  readonly next: { readonly days: number; readonly metres: number };
  readonly units: Units;
  readonly trips: readonly Named<TripId>[];
  readonly items: readonly Named<ItemId>[];
}

/** Typing goes on for so long before the engine is asked. */
const PAUSE_MS = 250;

/** Another school, another next trip, one mark otherwise: which verdicts would change. Nothing is kept. */
export function WhatIf(props: WhatIfProps) {
  const [open, setOpen] = useState(false);
  return (
    <details
      className="no-print mb-6 border-y border-rule py-2"
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="py-1 font-head text-lg font-bold">
        What if …{" "}
        <span className="font-sans text-sm font-normal text-muted">
          another school, a longer trip, one mark otherwise; nothing is kept
        </span>
      </summary>
      {open && <Supposing {...props} />}
    </details>
  );
}

function Supposing({ school: now, next, units, trips, items }: WhatIfProps) {
  const usual = {
    days: String(Math.round(next.days)),
    distance: String(Math.round(wearNumber(next.metres, "m", units))),
  };
  const [school, setSchool] = useState<SchoolName>(now);
  const [days, setDays] = useState(usual.days);
  const [distance, setDistance] = useState(usual.distance);
  const [trip, setTrip] = useState<string>(trips[0]?.id ?? "");
  const [item, setItem] = useState("");
  const [use, setUse] = useState<Use>("used");
  const [changes, setChanges] = useState<readonly ToldChange[]>();
  const [fields, setFields] = useState<Readonly<Record<string, string>>>({});
  const asks = {
    school: school !== now,
    next: days !== usual.days || distance !== usual.distance,
    mark: item !== "" && trip !== "",
  };
  const asking = asks.school || asks.next || asks.mark;
  const supposed = JSON.stringify({
    ...(asks.school ? { school } : {}),
    ...(asks.next
      ? {
          next: {
            days: parseNumber(days) ?? NaN,
            metres: wearFromNumber(parseNumber(distance) ?? NaN, "m", units),
          },
        }
      : {}),
    ...(asks.mark ? { mark: { trip, item, mark: { use } } } : {}),
  });
  useEffect(() => {
    if (!asking) return;
    const stop = new AbortController();
    const wait = setTimeout(
      () =>
        void fetch("/api/what-if", { method: "POST", body: supposed, signal: stop.signal })
          .then(async (answer) => {
            const told = (await answer.json()) as Answer<readonly ToldChange[]>;
            setFields(told.ok ? {} : told.fields);
            setChanges(told.ok ? told.value : undefined);
          })
          .catch((error: Error) => {
            if (error.name !== "AbortError") setFields({ "": "The server can’t be reached." });
          }),
      PAUSE_MS,
    );
    return () => {
      clearTimeout(wait);
      stop.abort();
    };
  }, [asking, supposed]);
  const reset = () => {
    setSchool(now);
    setDays(usual.days);
    setDistance(usual.distance);
    setItem("");
    setChanges(undefined);
    setFields({});
  };
  return (
    <div className="py-2">
      <div className="grid gap-3 sm:grid-cols-3 lg:grid-cols-6">
        <SelectField
          label="School"
          value={school}
          onChange={(event) => setSchool(event.target.value as SchoolName)}
          options={SchoolName.options.map((each) => [each, each === now ? `${each} (yours)` : each])}
        />
        <Field
          label="Next trip, days"
          inputMode="numeric"
          value={days}
          onChange={(event) => setDays(event.target.value)}
          error={fields["next.days"]}
        />
        <Field
          label={`Next trip, ${units.distance}`}
          inputMode="decimal"
          value={distance}
          onChange={(event) => setDistance(event.target.value)}
          error={fields["next.metres"]}
        />
        <SelectField
          label="One mark: of"
          value={item}
          onChange={(event) => setItem(event.target.value)}
          options={[["", "none"], ...items.map(({ id, name }) => [id, name] as const)]}
        />
        <SelectField
          label="on"
          value={trip}
          onChange={(event) => setTrip(event.target.value)}
          disabled={item === ""}
          options={trips.map(({ id, name }) => [id, name])}
        />
        <SelectField
          label="being"
          value={use}
          onChange={(event) => setUse(event.target.value as Use)}
          disabled={item === ""}
          options={Use.options}
        />
      </div>
      <div aria-live="polite" className="mt-3">
        {fields[""] && <p className="error">{fields[""]}</p>}
        {asking && changes?.length === 0 && <p className="text-muted">No leading verdict changes.</p>}
        {asking && changes && changes.length > 0 && (
          <>
            <p className="text-sm text-muted">
              {changes.length === 1 ? "One verdict changes" : `${changes.length} verdicts change`}:
            </p>
            <ul>
              {changes.map(({ item: id, name, from, to }) => (
                <li
                  key={id}
                  className="grid gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[14rem_18rem_1fr]"
                >
                  <Link prefetch={false} href={itemPath(id)} className="font-semibold hover:underline">
                    {name}
                  </Link>
                  <span>
                    <VerbWord verb={from.verb} urgency={from.urgency} /> <span aria-hidden="true">→</span>
                    <span className="sr-only"> becomes </span>{" "}
                    <VerbWord verb={to.verb} urgency={to.urgency} />
                    {from.verb === to.verb && <span className="text-sm text-muted"> {to.urgency}</span>}
                  </span>
                  <span className="text-sm text-muted">{to.says}</span>
                </li>
              ))}
            </ul>
          </>
        )}
        {asking && (
          <button type="button" className="btn btn-plain mt-1" onClick={reset}>
            As it is
          </button>
        )}
      </div>
    </div>
  );
}
