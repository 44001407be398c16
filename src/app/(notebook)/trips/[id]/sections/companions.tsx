"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { ItemId, LegId, Shared, TripId } from "@/core/model";
import { listWords, sayMass, type Units } from "@/core/units/speak";
import { refuse } from "@/ui/form/answer";
import { Field, SelectField } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { tellOtherTabs } from "@/ui/follow/channel";
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

/** A leg of the trip, and what it is called. */
interface NamedLeg {
  readonly id: LegId;
  readonly name: string;
}

const ALL = "all";
/** Parts of the way as they are said: the whole, one leg, from one on, up to one. */
const wayWords = (legs: readonly NamedLeg[]): (readonly [string, string])[] => [
  [ALL, "all the way"],
  ...legs.map(({ id, name }) => [`only ${id}`, `${name} only`] as const),
  ...legs.slice(1, -1).map(({ id, name }) => [`from ${id}`, `from ${name} on`] as const),
  ...legs.slice(1, -1).map(({ id, name }) => [`to ${id}`, `up to ${name}`] as const),
];

/** The legs of a part of the way as it was chosen; null: all of them. */
function legsOf(chosen: string, legs: readonly NamedLeg[]): LegId[] | null {
  const [how = "", ...id] = chosen.split(" ");
  const at = legs.findIndex((leg) => leg.id === id.join(" "));
  if (how === ALL || at < 0) return null;
  const on = { only: legs.slice(at, at + 1), from: legs.slice(at), to: legs.slice(0, at + 1) }[how] ?? legs;
  return on.map((leg) => leg.id);
}

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
  readonly legs: readonly NamedLeg[];
  readonly units: Units;
}

/**
 * What was carried in turn or split with companions, and what it weighed for all of them together. No
 * accounts, just names.
 */
export function Companions({ trip, shared, things, legs, units }: CompanionsProps) {
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
      {shared.length > 0 && (
        <SharedThings shared={shared} legs={legs} units={units} onRemove={(of) => say(of, null)} />
      )}
      <AddShared
        things={things}
        legs={legs}
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
  readonly legs: readonly NamedLeg[];
  readonly units: Units;
  readonly onRemove: (item: ItemId) => Promise<boolean>;
}

function SharedThings({ shared, legs, units, onRemove }: SharedThingsProps) {
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
                {thing.legs && `, on ${listWords(namesOf(thing.legs, legs))}`}
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
        other backs{shared.some((thing) => thing.legs) && ", where it was shared"}, and is not counted in
        yours.
      </p>
    </>
  );
}

/** Names of some legs, in their order. */
const namesOf = (on: readonly LegId[], legs: readonly NamedLeg[]) =>
  legs.filter(({ id }) => on.includes(id)).map(({ name }) => name);

interface AddSharedProps {
  readonly things: CompanionsProps["things"];
  readonly legs: readonly NamedLeg[];
  readonly lastWith: string;
  readonly wrong: Readonly<Record<string, string>>;
  readonly onWrong: (wrong: Readonly<Record<string, string>>) => void;
  readonly onAdd: (item: ItemId, how: Shared) => Promise<boolean>;
}

function AddShared({ things, legs, lastWith, wrong, onWrong, onAdd }: AddSharedProps) {
  const [item, setItem] = useState("");
  const [companion, setCompanion] = useState(lastWith);
  const [part, setPart] = useState("0.5");
  const [where, setWhere] = useState(ALL);
  const add = async () => {
    const chosen = things.find((thing) => thing.item === item);
    if (!chosen) return onWrong({ item: "Choose what was shared." });
    const how = { with: companion.trim(), part: Number(part), legs: legsOf(where, legs) };
    if (await onAdd(chosen.item, how)) setItem("");
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
      {legs.length > 1 && (
        <SelectField
          label="Where"
          className="w-44"
          value={where}
          error={wrong.legs}
          options={wayWords(legs)}
          onChange={({ target }) => setWhere(target.value)}
        />
      )}
      <button className="btn mt-6 btn-tall">
        Add<span className="sr-only"> what was shared</span>
      </button>
    </PageForm>
  );
}
