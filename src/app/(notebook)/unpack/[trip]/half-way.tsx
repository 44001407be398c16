"use client";

import { useState } from "react";
import type { TripId } from "@/core/model";
import type { Units } from "@/core/units/speak";
import { setSoFar } from "@/app/(notebook)/unpack/actions";
import { Field } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { useDoing } from "@/ui/use-doing";

interface HalfWayProps {
  readonly trip: TripId;
  /** What was said of it before, or today and nothing. */
  readonly on: string;
  readonly distance: string;
  readonly days: { readonly first: string; readonly last: string };
  /** What is left of it, in sentences; null where nobody said yet how far it had come. */
  readonly rest: string | null;
  readonly units: Units;
}

/** A walk that goes on, unpacked half way: how far it has come counts, and what is left is told. */
export function HalfWay({ trip, on, distance, days, rest, units }: HalfWayProps) {
  const [typed, setTyped] = useState({ on, distance });
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const { busy, run } = useDoing();
  const send = () =>
    run(async () => {
      const answer = await setSoFar(trip, typed);
      setWrong(answer.ok ? {} : answer.fields);
      return answer;
    });
  return (
    <section aria-label="Half way" className="mb-4 border-l-4 border-catkin-strong pl-4 tabs:ml-[15rem]">
      <PageForm className="flex flex-wrap items-start gap-2" onSend={send}>
        <Field
          label={`How far so far, ${units.distance}`}
          inputMode="decimal"
          className="w-44"
          value={typed.distance}
          onChange={({ target }) => setTyped({ ...typed, distance: target.value })}
          error={wrong.distance}
        />
        <Field
          label="until"
          type="date"
          min={days.first}
          max={days.last}
          className="w-44"
          value={typed.on}
          onChange={({ target }) => setTyped({ ...typed, on: target.value })}
          error={wrong.on}
        />
        <button className="btn mt-6 btn-tall" disabled={busy}>
          Count that
        </button>
      </PageForm>
      <p className="mt-1">
        {rest ?? "You are on the way still: say how far you have come, and no more than that is counted."}
      </p>
    </section>
  );
}
