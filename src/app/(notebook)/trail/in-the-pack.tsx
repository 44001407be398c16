"use client";

import type { ReactNode } from "react";
import type { TripId } from "@/core/model";
import { count } from "@/core/units/speak";
import { useTicks } from "@/ui/use-ticks";
import type { CarriedIn, LegAhead } from "./carried-of";

interface InThePackProps {
  readonly trip: TripId;
  readonly pockets: readonly CarriedIn[];
  readonly legs: readonly LegAhead[];
}

/**
 * What one looks up on the way, kept with the page: the legs in numbers, and the pack pocket by pocket, to be
 * ticked at a stop.
 */
export function InThePack({ trip, pockets, legs }: InThePackProps) {
  const { ticked, tick, clear } = useTicks(`nettle-ticked-${trip}`);
  const all = pockets.reduce((sum, { things }) => sum + things.length, 0);
  return (
    <>
      <Fold title="The way in numbers">
        <ol>
          {legs.map(({ name, numbers, isToday }, n) => (
            <li key={n} className={`border-b border-rule py-1 ${isToday ? "font-bold" : ""}`}>
              {name}
              {isToday && " (today)"}
              <span className="block text-sm text-muted">{numbers}</span>
            </li>
          ))}
        </ol>
      </Fold>
      {all > 0 && (
        <Fold title={`In the pack: have I got it? ${ticked.size} of ${count(all, "thing")}`}>
          {pockets.map(({ pocket, things }) => (
            <section key={pocket} aria-label={pocket}>
              <h3 className="mt-2 font-sans text-sm font-semibold text-muted">{pocket}</h3>
              <ul>
                {things.map(({ id, name, weighs, doubt }) => (
                  <li key={id} className="border-b border-rule">
                    <label className="flex min-h-11 items-center gap-3 py-1">
                      <input
                        type="checkbox"
                        className="size-5 flex-none accent-leaf"
                        checked={ticked.has(id)}
                        onChange={({ target }) => tick(id, target.checked)}
                      />
                      <span className="flex-1">
                        {name}
                        {doubt && <span className="block text-sm text-sting">{doubt}</span>}
                      </span>
                      <span className="num text-sm text-muted">{weighs}</span>
                    </label>
                  </li>
                ))}
              </ul>
            </section>
          ))}
          <button type="button" className="btn mt-3" disabled={ticked.size === 0} onClick={clear}>
            Start over
          </button>
        </Fold>
      )}
    </>
  );
}

const Fold = ({ title, children }: { title: string; children: ReactNode }) => (
  <details className="mt-4 border-t-2 border-ink">
    <summary className="py-2.5 font-head text-lg font-bold">{title}</summary>
    {children}
  </details>
);
