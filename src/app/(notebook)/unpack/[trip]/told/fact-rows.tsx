"use client";

import { useState, type KeyboardEvent } from "react";
import type { Named } from "@/core/hear/hear";
import type { HeardFact } from "@/core/model";
import type { Units } from "@/core/units/speak";
import { useLoaded } from "@/ui/use-loaded";

/** No part of a page before it is wanted: it brings the schema of a fact. */
const FORM = () => import("./fact-form");

/** A fact as it is shown: what it comes to, and whether it is taken. */
export interface FactRow {
  readonly key: string;
  readonly fact: HeardFact;
  readonly says: string;
  readonly isTaken: boolean;
}

interface FactRowsProps {
  readonly rows: readonly FactRow[];
  readonly things: readonly Pick<Named, "id" | "name">[];
  readonly units: Units;
  readonly flip: (keys: readonly string[]) => void;
  readonly correct: (key: string, fact: HeardFact) => void;
  readonly light?: (key: string | undefined) => void;
}

/** Facts, each taken or dropped by one key and put right by another. */
export function FactRows({ rows, things, units, flip, correct, light = () => undefined }: FactRowsProps) {
  const [open, setOpen] = useState<string>();
  const form = useLoaded(FORM, open !== undefined);
  const press = (event: KeyboardEvent<HTMLElement>, { key }: FactRow) => {
    const step = { ArrowDown: 1, ArrowUp: -1, j: 1, k: -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      const all = [...document.querySelectorAll<HTMLElement>("[data-fact]")];
      all[all.indexOf(event.currentTarget) + step]?.focus();
    } else if (event.key === "T" || event.key === "X") flip(rows.map((row) => row.key));
    else if (event.key === "t" || event.key === "x") flip([key]);
    else if (event.key === "c") {
      event.preventDefault();
      setOpen(key);
    }
  };
  const close = (key: string) => {
    setOpen(undefined);
    document.querySelector<HTMLElement>(`[data-fact="${CSS.escape(key)}"]`)?.focus();
  };
  return (
    <ul>
      {rows.map((row) => (
        <li key={row.key} className="border-b border-rule last:border-0">
          <div className="flex min-h-9 items-center gap-3 pointer-coarse:min-h-11">
            <label
              className="flex flex-1 items-baseline gap-3 py-1"
              onMouseEnter={() => light(row.key)}
              onMouseLeave={() => light(undefined)}
            >
              <input
                type="checkbox"
                data-fact={row.key}
                checked={row.isTaken}
                onChange={() => flip([row.key])}
                onFocus={() => light(row.key)}
                onBlur={() => light(undefined)}
                onKeyDown={(event) => press(event, row)}
                className="size-4 accent-leaf"
              />
              <span className={row.isTaken ? "" : "text-muted line-through"}>{row.says}</span>
            </label>
            <button
              type="button"
              className="link min-h-8 text-sm pointer-coarse:min-h-11"
              aria-expanded={open === row.key}
              aria-label={`Put right: ${row.says}`}
              onClick={() => setOpen(open === row.key ? undefined : row.key)}
            >
              Put right
            </button>
          </div>
          {open === row.key && form && (
            <form.FactForm
              fact={row.fact}
              things={things}
              units={units}
              onChange={(fact) => correct(row.key, fact)}
              onClose={() => close(row.key)}
            />
          )}
        </li>
      ))}
    </ul>
  );
}

/** What is dropped and what is put right, by the key of each fact. */
export interface Choices {
  readonly dropped: ReadonlySet<string>;
  readonly corrections: ReadonlyMap<string, HeardFact>;
}
export const NO_CHOICES: Choices = { dropped: new Set(), corrections: new Map() };

/** Some are dropped, or where all of them are already, taken again. */
export function flipped({ dropped, ...rest }: Choices, keys: readonly string[]): Choices {
  const all = keys.every((key) => dropped.has(key));
  const next = all ? [...dropped].filter((key) => !keys.includes(key)) : [...dropped, ...keys];
  return { ...rest, dropped: new Set(next) };
}

/** One put right, and so taken. */
export const putRight = ({ dropped, corrections }: Choices, key: string, fact: HeardFact): Choices => ({
  dropped: new Set([...dropped].filter((each) => each !== key)),
  corrections: new Map([...corrections, [key, fact]]),
});
