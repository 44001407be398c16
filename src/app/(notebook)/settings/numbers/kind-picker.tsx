import { useState } from "react";
import type { Settings } from "@/core/model";
import { KINDS } from "@/core/trade/kinds";
import { findKind } from "@/core/trade/words/names";
import { Field } from "@/ui/form/field";

interface KindPickerProps {
  readonly settings: Settings;
  readonly picked: string;
  readonly onPick: (id: string) => void;
}

/** Kinds that fit what is typed, those with numbers of the owner's own first and marked. */
export function KindPicker({ settings, picked, onPick }: KindPickerProps) {
  const [typed, setTyped] = useState("");
  const sought = typed.trim().toLowerCase();
  const meant = sought === "" ? null : findKind(sought)?.id;
  const fits = KINDS.filter(({ id }) => id.includes(sought) || id === meant);
  const isOwn = (id: string) => settings.kinds[id] !== undefined;
  const shown = [...fits.filter(({ id }) => isOwn(id)), ...fits.filter(({ id }) => !isOwn(id))];
  return (
    <div>
      <Field
        label="Find a kind"
        type="search"
        className="max-w-xs"
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onKeyDown={({ key }) => {
          if (key === "Enter" && shown[0]) onPick(shown[0].id);
        }}
      />
      <div role="group" aria-label="Kinds" className="mt-2 flex max-h-40 flex-wrap gap-1 overflow-y-auto">
        {shown.map(({ id }) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === picked}
            className={`min-h-8 border px-2 text-sm pointer-coarse:min-h-11 ${lookOf(id === picked, isOwn(id))}`}
            onClick={() => onPick(id)}
          >
            {id}
            {isOwn(id) && " · yours"}
          </button>
        ))}
        {shown.length === 0 && <p className="hint">No kind is called that.</p>}
      </div>
    </div>
  );
}

function lookOf(isPicked: boolean, isOwn: boolean): string {
  if (isPicked) return "border-leaf bg-leaf text-on-leaf";
  return isOwn ? "border-stem bg-sheet font-semibold text-stem" : "border-rule bg-sheet";
}
