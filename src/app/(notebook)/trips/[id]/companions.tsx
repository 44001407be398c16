"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { ItemId, Shared, TripId } from "@/core/model";
import { sayMass, type Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { setShared } from "../actions";

/** Which part of a shared thing was the owner's, as people say it. */
const PARTS = [
  ["0.5", "half of it"],
  ["0.333", "a third"],
  ["0.667", "two thirds"],
  ["0", "none: they carried it"],
] as const;
const partWord = (part: number) =>
  PARTS.find(([value]) => Math.abs(Number(value) - part) < 0.01)?.[1] ?? `${Math.round(part * 100)} %`;

interface SharedThing extends Shared {
  readonly item: ItemId;
  readonly name: string;
  readonly grams: number;
  /** Whose it is; null: the walker's own. */
  readonly owner: string | null;
}

/**
 * What was carried in turn or split with companions, and what it weighed for all of them together. No
 * accounts, just names.
 */
export function Companions({
  trip,
  shared,
  things,
  units,
}: {
  trip: TripId;
  shared: readonly SharedThing[];
  things: readonly { readonly item: ItemId; readonly name: string }[];
  units: Units;
}) {
  const router = useRouter();
  const [item, setItem] = useState("");
  const [companion, setCompanion] = useState(shared.at(-1)?.with ?? "");
  const [part, setPart] = useState("0.5");
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const say = async (of: ItemId, how: Shared | null) => {
    const answer = await setShared(trip, of, how).catch(() => null);
    setWrong(answer ? (answer.ok ? {} : answer.fields) : { "": "Not saved: the server can’t be reached." });
    if (!answer?.ok) return;
    tellOtherTabs();
    router.refresh();
    setItem("");
  };
  const add = () =>
    item === ""
      ? setWrong({ item: "Choose what was shared." })
      : say(item as ItemId, { with: companion.trim(), part: Number(part) });
  const theirs = shared.reduce((sum, thing) => sum + thing.grams * (1 - thing.part), 0);
  const group = shared.reduce((sum, thing) => sum + thing.grams, 0);
  return (
    <details className="mt-4" open={shared.length > 0}>
      <summary className="py-1">Shared with companions</summary>
      {shared.length > 0 && (
        <>
          <ul>
            {shared.map((thing) => (
              <li key={thing.item} className="flex items-center gap-3 border-b border-rule py-1">
                <span className="flex-1">
                  {thing.name}{" "}
                  <span className="text-sm text-muted">
                    {thing.owner ? `${thing.owner}’s, ` : ""}with {thing.with}, yours: {partWord(thing.part)}
                  </span>
                </span>
                <button type="button" className="btn btn-plain" onClick={() => void say(thing.item, null)}>
                  Remove<span className="sr-only"> {thing.name}</span>
                </button>
              </li>
            ))}
          </ul>
          <p className="hint mt-1">
            Shared things weigh {sayMass(group, units)} for all together; {sayMass(theirs, units)} of that was
            on other backs, and is not counted in yours.
          </p>
        </>
      )}
      <form
        className="mt-2 flex flex-wrap items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
        noValidate
      >
        <SelectField
          label="What"
          className="w-44"
          value={item}
          error={wrong.item ?? wrong[""]}
          options={[["", "choose …"], ...things.map((thing) => [thing.item, thing.name] as const)]}
          onChange={(event) => setItem(event.target.value)}
        />
        <Field
          label="With"
          className="w-36"
          value={companion}
          error={wrong.with}
          onChange={(event) => setCompanion(event.target.value)}
        />
        <SelectField
          label="You carried"
          className="w-44"
          value={part}
          error={wrong.part}
          options={PARTS}
          onChange={(event) => setPart(event.target.value)}
        />
        <button className="btn mt-6 !min-h-10">
          Add<span className="sr-only"> what was shared</span>
        </button>
      </form>
    </details>
  );
}
