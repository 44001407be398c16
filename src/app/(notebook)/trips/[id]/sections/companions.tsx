"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { ItemId, Shared, TripId } from "@/core/model";
import { sayMass, type Units } from "@/core/units/speak";
import { refuse } from "@/ui/form/answer";
import { Field, SelectField } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { tellOtherTabs } from "@/ui/other-tabs";
import { setShared } from "../../actions";

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

interface CompanionsProps {
  readonly trip: TripId;
  readonly shared: readonly SharedThing[];
  readonly things: readonly { readonly item: ItemId; readonly name: string }[];
  readonly units: Units;
}

/**
 * What was carried in turn or split with companions, and what it weighed for all of them together. No
 * accounts, just names.
 */
export function Companions({ trip, shared, things, units }: CompanionsProps) {
  const router = useRouter();
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const say = async (of: ItemId, how: Shared | null) => {
    const answer = await setShared(trip, of, how).catch(() =>
      refuse({ "": "Not saved: the server can’t be reached." }),
    );
    setWrong(answer.ok ? {} : answer.fields);
    if (!answer.ok) return false;
    tellOtherTabs();
    router.refresh();
    return true;
  };
  return (
    <details className="mt-4" open={shared.length > 0}>
      <summary className="py-1">Shared with companions</summary>
      {shared.length > 0 && <SharedThings shared={shared} units={units} onRemove={(of) => say(of, null)} />}
      <AddShared
        things={things}
        lastWith={shared.at(-1)?.with ?? ""}
        wrong={wrong}
        onWrong={setWrong}
        onAdd={say}
      />
    </details>
  );
}

interface SharedThingsProps {
  readonly shared: readonly SharedThing[];
  readonly units: Units;
  readonly onRemove: (item: ItemId) => Promise<boolean>;
}

function SharedThings({ shared, units, onRemove }: SharedThingsProps) {
  const theirs = shared.reduce((sum, thing) => sum + thing.grams * (1 - thing.part), 0);
  const group = shared.reduce((sum, thing) => sum + thing.grams, 0);
  return (
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
            <button type="button" className="btn btn-plain" onClick={() => void onRemove(thing.item)}>
              Remove<span className="sr-only"> {thing.name}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="hint mt-1">
        Shared things weigh {sayMass(group, units)} for all together; {sayMass(theirs, units)} of that was on
        other backs, and is not counted in yours.
      </p>
    </>
  );
}

interface AddSharedProps {
  readonly things: CompanionsProps["things"];
  readonly lastWith: string;
  readonly wrong: Readonly<Record<string, string>>;
  readonly onWrong: (wrong: Readonly<Record<string, string>>) => void;
  readonly onAdd: (item: ItemId, how: Shared) => Promise<boolean>;
}

function AddShared({ things, lastWith, wrong, onWrong, onAdd }: AddSharedProps) {
  const [item, setItem] = useState("");
  const [companion, setCompanion] = useState(lastWith);
  const [part, setPart] = useState("0.5");
  const add = async () => {
    const chosen = things.find((thing) => thing.item === item);
    if (!chosen) return onWrong({ item: "Choose what was shared." });
    if (await onAdd(chosen.item, { with: companion.trim(), part: Number(part) })) setItem("");
  };
  return (
    <PageForm className="mt-2 flex flex-wrap items-start gap-2" onSend={() => void add()}>
      <SelectField
        label="What"
        className="w-44"
        value={item}
        error={wrong.item ?? wrong[""]}
        options={[["", "choose …"], ...things.map((thing) => [thing.item, thing.name] as const)]}
        onChange={({ target }) => setItem(target.value)}
      />
      <Field
        label="With"
        className="w-36"
        value={companion}
        error={wrong.with}
        onChange={({ target }) => setCompanion(target.value)}
      />
      <SelectField
        label="You carried"
        className="w-44"
        value={part}
        error={wrong.part}
        options={PARTS}
        onChange={({ target }) => setPart(target.value)}
      />
      <button className="btn mt-6 !min-h-10">
        Add<span className="sr-only"> what was shared</span>
      </button>
    </PageForm>
  );
}
