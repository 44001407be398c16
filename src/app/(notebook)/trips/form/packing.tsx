"use client";

import { useMemo, useState } from "react";
import type { ItemId } from "@/core/model";
import { count, sayMass, type Units } from "@/core/units/speak";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import type { Packable, TripValues } from "./trip-form-values";

interface PackingProps {
  readonly shelf: readonly Packable[];
  /** The last trip's list, to start from. */
  readonly last: { readonly name: string; readonly items: readonly ItemId[] } | null;
  readonly units: Units;
  /** It is still to come. */
  readonly isPlan: boolean;
  readonly legs: readonly string[];
  readonly packed: TripValues["packed"];
  readonly error: string | undefined;
  readonly onPack: (packed: TripValues["packed"]) => void;
}

/** What was in the pack: ticked, and on which legs. */
export function Packing({ shelf, last, units, isPlan, legs, packed, error, onPack }: PackingProps) {
  const chosen = shelf.filter((item) => packed[item.id] !== undefined);
  const grams = chosen.reduce((sum, item) => sum + item.grams, 0);
  const all = (ids: readonly string[]) =>
    onPack(Object.fromEntries(ids.map((item) => [item, packed[item] ?? "all"])));
  return (
    <fieldset>
      <legend className="mb-1 font-head text-lg font-bold">
        {isPlan ? "What goes along" : "What went along"}
      </legend>
      <div className="mb-2 flex flex-wrap items-center gap-2">
        {last && (
          <button type="button" className="btn" onClick={() => all(last.items)}>
            As on {last.name}
          </button>
        )}
        <button type="button" className="btn" onClick={() => all(shelf.map((item) => item.id))}>
          Everything
        </button>
        <button type="button" className="btn btn-plain" onClick={() => all([])}>
          Nothing
        </button>
        <span role="status" className="text-muted">
          {count(chosen.length, "thing")}, {sayMass(grams, units)}
        </span>
      </div>
      {error && (
        <p role="alert" className="error">
          {error}
        </p>
      )}
      {shelf.length === 0 ? (
        <p className="text-muted">
          The shelf is empty. Save the trip, put things on the shelf, and come back.
        </p>
      ) : (
        <ShelfTicks shelf={shelf} legs={legs} packed={packed} onPack={onPack} />
      )}
    </fieldset>
  );
}

type ShelfTicksProps = Pick<PackingProps, "shelf" | "legs" | "packed" | "onPack">;

/** The shelf by pocket, a tick a thing: the whole list is one stop of Tab, or eighty would stand before the save. */
function ShelfTicks({ shelf, legs, packed, onPack }: ShelfTicksProps) {
  const groups = useMemo(
    () =>
      [...new Set(shelf.map((item) => item.stow))].map(
        (stow) => [stow, shelf.filter((item) => item.stow === stow)] as const,
      ),
    [shelf],
  );
  const [stop, setStop] = useState(shelf[0]?.id);
  return (
    <>
      <p className="hint mb-1" id="packing-keys">
        One Tab takes you into the list and one out of it; arrow keys walk it, Space packs.
      </p>
      <div className="columns-1 gap-8 sm:columns-2" onKeyDown={walk} aria-describedby="packing-keys">
        {groups.map(([stow, items]) => (
          <div key={stow} className="mb-3 break-inside-avoid">
            <p className="border-b border-rule-strong font-head text-sm font-bold">{STOW_NAMES[stow]}</p>
            {items.map(({ id, name }) => (
              <Tick
                key={id}
                id={id}
                name={name}
                isStop={id === stop}
                legs={legs}
                value={packed[id]}
                onStop={() => setStop(id)}
                onChange={(value) => onPack({ ...packed, [id]: value })}
              />
            ))}
          </div>
        ))}
      </div>
    </>
  );
}

function walk(event: React.KeyboardEvent) {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (!step || !(event.target instanceof HTMLInputElement)) return;
  event.preventDefault();
  const boxes = [...event.currentTarget.querySelectorAll<HTMLInputElement>("[data-thing]")];
  boxes[boxes.indexOf(event.target) + step]?.focus();
}

interface TickProps {
  readonly id: ItemId;
  readonly name: string;
  readonly isStop: boolean;
  readonly legs: readonly string[];
  /** "all", or the legs that it was along on; undefined: it stayed. */
  readonly value: string | undefined;
  readonly onStop: () => void;
  readonly onChange: (value: string | undefined) => void;
}

function Tick({ id, name, isStop, legs, value, onStop, onChange }: TickProps) {
  return (
    <div className="flex items-center gap-2 border-b border-rule">
      <label className="flex min-h-8 flex-1 items-center gap-2 pointer-coarse:min-h-11">
        <input
          type="checkbox"
          className="size-5"
          data-thing={id}
          tabIndex={isStop ? 0 : -1}
          onFocus={onStop}
          checked={value !== undefined}
          onChange={({ target }) => onChange(target.checked ? "all" : undefined)}
        />
        {name}
      </label>
      {legs.length > 1 && value !== undefined && (
        <LegPicks name={name} legs={legs} value={value} onChange={onChange} />
      )}
    </div>
  );
}

interface LegPicksProps {
  readonly name: string;
  readonly legs: readonly string[];
  readonly value: string;
  readonly onChange: (value: string) => void;
}

const LEG = "num min-h-7 min-w-6 border px-1 pointer-coarse:min-h-11 pointer-coarse:min-w-9";

/** The legs that a thing was carried on, each to be pressed: any of them, not only one stretch. */
function LegPicks({ name, legs, value, onChange }: LegPicksProps) {
  const on = new Set(value === "all" ? legs : value.split(","));
  const press = (leg: string) => {
    const next = legs.filter((each) => (each === leg ? !on.has(each) : on.has(each)));
    if (next.length > 0) onChange(next.length === legs.length ? "all" : next.join(","));
  };
  return (
    <span role="group" aria-label={`${name}: legs`} className="flex items-center gap-0.5 text-sm text-muted">
      {legs.map((leg, n) => (
        <button
          key={leg}
          type="button"
          aria-label={`leg ${n + 1}`}
          aria-pressed={on.has(leg)}
          onClick={() => press(leg)}
          className={`${LEG} ${on.has(leg) ? "border-leaf bg-leaf text-on-leaf" : "border-rule bg-sheet"}`}
        >
          {n + 1}
        </button>
      ))}
    </span>
  );
}
