"use client";

import { useState } from "react";
import { corrected, ofThing, pickedOf, piecesToPick, type Piece } from "@/core/hear/taken/correct";
import type { Named } from "@/core/hear/hear";
import type { HeardFact } from "@/core/model";
import { parseTemperature } from "@/core/units/quantity";
import { temperatureText, type Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";

interface FactFormProps {
  readonly fact: HeardFact;
  readonly things: readonly Pick<Named, "id" | "name">[];
  readonly units: Units;
  readonly onChange: (fact: HeardFact) => void;
  readonly onClose: () => void;
}

/** A fact in its pieces, each picked anew: of which thing it is, and what is said of it. */
export function FactForm({ fact, things, units, onChange, onClose }: FactFormProps) {
  const [isWhole, setWhole] = useState(false);
  const pieces = piecesToPick(fact);
  const shown = pieces.filter((piece) => isWhole || pickedOf(fact, piece) !== "");
  const take = (next: HeardFact | null) => next && onChange(next);
  return (
    <div
      role="group"
      aria-label="Put it right"
      className="mb-2 border-l-4 border-catkin-strong pl-3"
      onKeyDown={(event) => {
        if (event.key === "Escape") {
          event.stopPropagation();
          onClose();
        }
      }}
    >
      <div className="grid gap-x-4 gap-y-2 tabs:grid-cols-3">
        {fact.about === "thing" && (
          <SelectField
            label="Which thing"
            autoFocus
            value={fact.item}
            options={things.map(({ id, name }) => [id, name] as const)}
            onChange={(event) => take(ofThing(fact, event.target.value))}
          />
        )}
        {shown.map((piece) => (
          <PieceField
            key={`${piece.field} ${fact.about === "thing" ? fact.item : ""}`}
            piece={piece}
            fact={fact}
            units={units}
            onPick={(picked) => {
              const next = corrected(fact, piece, picked);
              take(next);
              return next !== null;
            }}
          />
        ))}
      </div>
      <p className="mt-2 flex flex-wrap gap-2">
        {!isWhole && shown.length < pieces.length && (
          <button type="button" className="btn" onClick={() => setWhole(true)}>
            Say more
          </button>
        )}
        <button type="button" className="btn" onClick={onClose}>
          Done
        </button>
      </p>
    </div>
  );
}

/** One piece: picked from its words, or a number typed; what can't be is said beside it, and stays. */
function PieceField({
  piece,
  fact,
  units,
  onPick,
}: {
  piece: Piece;
  fact: HeardFact;
  units: Units;
  onPick: (picked: string) => boolean;
}) {
  const value = pickedOf(fact, piece);
  const isLow = piece.field === "low";
  const [typed, setTyped] = useState(isLow && value !== "" ? temperatureText(Number(value), units) : value);
  const [wrong, setWrong] = useState<string>();
  if (piece.answers)
    return (
      <SelectField
        label={piece.name}
        value={value}
        options={[["", "nothing said"] as const, ...piece.answers.map((word) => [word, word] as const)]}
        onChange={(event) => onPick(event.target.value)}
      />
    );
  return (
    <Field
      label={piece.name}
      inputMode="decimal"
      value={typed}
      error={wrong}
      onChange={(event) => {
        setTyped(event.target.value);
        const text = event.target.value.trim();
        const low = isLow && text !== "" ? parseTemperature(text, units.temperature) : null;
        const picked = low === null ? text : low.ok ? String(low.value) : "?";
        setWrong(onPick(picked) ? undefined : "That can’t be; what it said stays.");
      }}
    />
  );
}
