"use client";

import { useState } from "react";
import type { ItemId, LegId, Mark } from "@/core/model";
import { readPlace, type Walked } from "@/core/ledger/place";
import type { Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import type { Said } from "./panel-questions";

/** What there is to say of a trip about where on it something happened, and what took its place. */
export interface Way {
  readonly legs: readonly { readonly id: LegId; readonly name: string }[];
  /** Its days and the lengths of its legs: by them a day is a place. */
  readonly walked: Walked;
  readonly units: Units;
  /** What else there is, on the trip or at home. */
  readonly others: readonly { readonly id: ItemId; readonly name: string }[];
}

interface WhereItWasProps {
  readonly way: Way;
  readonly item: ItemId;
  readonly mark: Said;
  readonly onSay: (more: Said) => void;
}

const NOT_SAID = "";

/** Where on the trip it failed or left, and what it was swapped for. */
export function WhereItWas({ way, item, mark, onSay }: WhereItWasProps) {
  const { legs, walked, units, others } = way;
  const [error, setError] = useState<string>();
  const at: NonNullable<Mark["at"]> = mark.at ?? { leg: null, distance: null };
  const sayPlace = (typed: string) => {
    if (typed.trim() === (at.distance?.typed ?? "")) return;
    const read = typed.trim() === "" ? null : readPlace(typed, walked, units);
    setError(read && !read.ok ? read.why : undefined);
    if (!read || read.ok) onSay({ at: read?.value ?? null });
  };
  return (
    <div className="flex flex-wrap gap-3">
      {mark.exit?.how === "swapped" && (
        <SelectField
          label="Swapped for"
          className="w-60"
          value={mark.exit.for ?? NOT_SAID}
          onChange={(event) =>
            onSay({
              exit: {
                how: "swapped",
                for: event.target.value === NOT_SAID ? null : (event.target.value as ItemId),
              },
            })
          }
          options={[
            [NOT_SAID, "not said"],
            ...others.filter(({ id }) => id !== item).map(({ id, name }) => [id, name] as const),
          ]}
        />
      )}
      {legs.length > 1 && (
        <SelectField
          label="On which leg"
          className="w-44"
          value={at.leg ?? NOT_SAID}
          onChange={({ target: { value: leg } }) =>
            onSay({ at: leg === NOT_SAID ? null : { leg: leg as LegId, distance: null } })
          }
          options={[[NOT_SAID, "not said"], ...legs.map(({ id, name }) => [id, name] as const)]}
        />
      )}
      <Field
        key={at.distance?.typed ?? at.leg}
        label="How far from the start, or which day"
        className="w-60"
        defaultValue={at.distance?.typed ?? ""}
        placeholder={`41 ${units.distance}, or day 3`}
        error={error}
        onBlur={(event) => sayPlace(event.target.value)}
      />
    </div>
  );
}
