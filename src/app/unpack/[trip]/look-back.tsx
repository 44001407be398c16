"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import type { Consequence} from "@/core/model";
import { type ItemId, type Missed, type TripId, type Use } from "@/core/model";
import { saveLookBack } from "@/app/trips/actions";
import { Field, SelectField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";

interface LookBackProps {
  readonly trip: TripId;
  readonly made: readonly ItemId[];
  readonly stay: readonly ItemId[];
  readonly missed: readonly Missed[];
  readonly things: readonly { readonly id: ItemId; readonly name: string; readonly use: Use | null }[];
}

const NOTHING = "";

/** Three that made the trip, three that could have stayed, and what was missed. Saved as it is said. */
export function LookBack({ trip, things, ...before }: LookBackProps) {
  const router = useRouter();
  const [said, setSaid] = useState({ made: [...before.made], stay: [...before.stay], missed: [...before.missed] });
  const [what, setWhat] = useState("");
  const [cost, setCost] = useState<Consequence>("discomfort");
  const [error, setError] = useState<string>();
  const save = async (next: typeof said) => {
    setSaid(next);
    const answer = await saveLookBack(trip, next).catch(() => null);
    if (answer?.ok) {
      tellOtherTabs();
      router.refresh();
    } else toast.error(answer ? Object.values(answer.fields)[0] : "Not saved: the server can’t be reached.");
  };
  const choose = (field: "made" | "stay", n: number, id: string) => {
    const list = said[field].filter((_, index) => index !== n);
    if (id !== NOTHING) list.splice(n, 0, id as ItemId);
    void save({ ...said, [field]: [...new Set(list)].slice(0, 3) });
  };
  const addMissed = () => {
    if (what.trim() === "") return setError("Say what was missed.");
    setError(undefined);
    setWhat("");
    void save({ ...said, missed: [...said.missed, { what: what.trim(), job: null, cost }] });
  };
  const idleFirst = [...things].sort((a, b) => Number(a.use === "used") - Number(b.use === "used"));
  return (
    <section id="look-back" aria-labelledby="look-back-title" className="mt-10 max-w-4xl border-t-2 border-ink pt-4 tabs:ml-[15rem]">
      <h2 id="look-back-title" className="text-xl">Look back</h2>
      <div className="mt-3 grid gap-8 sm:grid-cols-2">
        {([["made", "Made the trip", things.filter((thing) => thing.use !== "unused")], ["stay", "Could have stayed home", idleFirst]] as const).map(([field, title, choices]) => (
          <fieldset key={field}>
            <legend className="label">{title}</legend>
            {[0, 1, 2].filter((n) => n <= said[field].length).map((n) => (
              <select key={n} aria-label={`${title}, ${n + 1} of 3`} className="field mb-1.5" value={said[field][n] ?? NOTHING} onChange={(event) => choose(field, n, event.target.value)}>
                <option value={NOTHING}>–</option>
                {choices.map((thing) => <option key={thing.id} value={thing.id}>{thing.name}</option>)}
              </select>
            ))}
          </fieldset>
        ))}
      </div>
      <fieldset className="mt-4">
        <legend className="label">Missed on the way</legend>
        <ul>{said.missed.map((one, n) => <li key={`${one.what}-${n}`} className="flex items-center gap-3 border-b border-rule py-1">{one.what} <span className="text-sm text-muted">{one.cost}</span><button type="button" className="btn btn-plain ml-auto !min-h-8" onClick={() => void save({ ...said, missed: said.missed.filter((_, index) => index !== n) })}>Remove<span className="sr-only"> {one.what}</span></button></li>)}</ul>
        <form className="mt-2 flex flex-wrap items-end gap-2" onSubmit={(event) => { event.preventDefault(); addMissed(); }}>
          <Field label="What" value={what} onChange={(event) => setWhat(event.target.value)} error={error} className="w-56" maxLength={120} />
          <SelectField label="Its absence was" value={cost} onChange={(event) => setCost(event.target.value as Consequence)} options={[["nuisance", "a nuisance"], ["discomfort", "discomfort"], ["trip-ending", "the end of the trip"], ["danger", "dangerous"]]} className="w-52" />
          <button className="btn mb-px !min-h-10">Add</button>
        </form>
      </fieldset>
    </section>
  );
}
