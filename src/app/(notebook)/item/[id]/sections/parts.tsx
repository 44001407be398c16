"use client";

import { useState } from "react";
import type { ItemId } from "@/core/model";
import { SelectField } from "@/ui/form/field";
import { useDoing } from "@/ui/use-doing";
import { logEntry, movePart, takeEntryBack } from "../actions";
import type { PartTold } from "./parts-of";

/** Parts with a life of their own, each of which can go on to another thing: the insoles into the next pair. */
export function Parts({
  item,
  parts,
  others,
  today,
}: {
  item: ItemId;
  parts: readonly PartTold[];
  today: string;
  others: readonly (readonly [id: string, name: string])[];
}) {
  const { busy, run } = useDoing();
  const [to, setTo] = useState<Readonly<Record<string, string>>>({});
  const nameOf = (id: string) => others.find(([each]) => each === id)?.[1];
  return (
    <section aria-label="Parts">
      <h2 className="border-b-2 border-ink pb-1 text-lg">Parts</h2>
      <ul>
        {parts.map(({ name, says, renewal, isDue }) => (
          <li key={name} className="flex flex-wrap items-end gap-2 border-b border-rule py-1.5">
            <span className="basis-full">
              <b>{name}</b>
              <span className={`block text-sm ${isDue ? "font-semibold text-sting" : "text-muted"}`}>
                {says}
              </span>
            </span>
            {renewal && (
              <button
                type="button"
                className="btn"
                disabled={busy}
                onClick={() =>
                  run(() => logEntry({ item, on: today, ...renewal }), {
                    says: () => `${name}: new from today`,
                    undo: (id) => takeEntryBack(id),
                  })
                }
              >
                Renewed<span className="sr-only"> {name} today</span>
              </button>
            )}
            <SelectField
              label={`Move ${name} to`}
              className="w-44"
              value={to[name] ?? ""}
              onChange={(event) => setTo({ ...to, [name]: event.target.value })}
              options={[["", "–"], ...others]}
            />
            <button
              type="button"
              className="btn"
              disabled={busy || !to[name]}
              onClick={() => {
                const other = to[name] as ItemId;
                run(() => movePart(item, name, other), {
                  says: () => `${name}: on ${nameOf(other)} now`,
                  undo: () => movePart(other, name, item),
                });
              }}
            >
              Move
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
