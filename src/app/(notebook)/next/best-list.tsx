"use client";

import { useRef, useState } from "react";
import type { ItemId, TripId } from "@/core/model";
import type { Best } from "@/core/plan/best";
import type { Weighed } from "@/core/plan/weighed";
import { parseMass } from "@/core/units/quantity";
import { count, listWords, percent, sayMass, type Units } from "@/core/units/speak";
import { Field } from "@/ui/form/field";
import { useDoing } from "@/ui/use-doing";
import { leaveOut } from "./actions";

/** The list of the most worth within a base weight that the owner names; searched in a worker, and to be called off. */
export function BestList({
  trip,
  things,
  litres,
  units,
}: {
  trip: TripId;
  things: readonly Weighed[];
  /** Room in the pack, in litres; null where it is not told. */
  litres: number | null;
  units: Units;
}) {
  const worker = useRef<Worker>(null);
  const [typed, setTyped] = useState("");
  const [wrong, setWrong] = useState<string>();
  const [searching, setSearching] = useState(false);
  const [best, setBest] = useState<Best>();
  const { busy, run } = useDoing();
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    setSearching(false);
  };
  const search = () => {
    const mass = parseMass(typed, units.weight === "g" ? "kg" : "lb");
    setBest(undefined);
    setWrong(mass.ok ? undefined : mass.why);
    if (!mass.ok) return;
    stop();
    setSearching(true);
    worker.current = new Worker(new URL("./best.worker.ts", import.meta.url), { type: "module" });
    worker.current.onmessage = ({ data }: MessageEvent<Best>) => {
      stop();
      setBest(data);
    };
    worker.current.onerror = () => {
      stop();
      setWrong("The search broke off. Try another weight.");
    };
    worker.current.postMessage({
      things: things.map(({ id, grams, litres: room, worth, jobs, needs }) => ({
        id,
        grams,
        litres: room,
        worth,
        jobs,
        needs,
      })),
      within: { grams: mass.value.g, litres },
    });
  };
  const all = things.reduce((sum, { worth }) => sum + worth, 0);
  const left = best?.fits ? things.filter(({ id }) => !best.taken.includes(id)) : [];
  const apply = (out: readonly ItemId[]) =>
    run(
      () => leaveOut(trip, out),
      { says: () => `${count(out.length, "thing")} left out` },
      () => setBest(undefined),
    );
  return (
    <section aria-label="The best list within a weight" className="no-print">
      <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">The best list within a weight</h2>
      <form
        noValidate
        className="flex flex-wrap items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          search();
        }}
      >
        <Field
          label="Base weight at most"
          className="w-40"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          error={wrong}
          placeholder={units.weight === "g" ? "6.5 kg" : "14 lb"}
        />
        {searching ? (
          <button type="button" className="btn mt-6 !min-h-10" onClick={stop}>
            Stop
          </button>
        ) : (
          <button className="btn mt-6 !min-h-10">Find it</button>
        )}
      </form>
      <div aria-live="polite" className="mt-1">
        {searching && <p className="text-muted">Searching {count(things.length, "thing")} …</p>}
        {best && !best.fits && (
          <p className="font-semibold text-sting">
            {best.jobs.length
              ? `No list of that weight does it: ` +
                `${listWords(best.jobs)} ${best.jobs.length === 1 ? "does" : "do"} not fit. `
              : "No list of that weight does all the critical jobs. "}
            {best.least === null
              ? "The pack has no room for all the critical jobs."
              : `The least that would do them all is ${sayMass(best.least, units)}.`}
          </p>
        )}
        {best?.fits && (
          <>
            <p>
              <b>{sayMass(best.grams, units)}</b>, with {percent(all > 0 ? best.worth / all : 1)} of the
              worth, every critical job done
              {best.proved
                ? "; no list of that weight is worth more."
                : "; the best found in two seconds, not proved the best."}
            </p>
            {left.length > 0 ? (
              <>
                <p className="text-sm">
                  Falls out: {listWords(left.map(({ name, grams }) => `${name} (${sayMass(grams, units)})`))}.
                </p>
                <button
                  type="button"
                  className="btn mt-2"
                  disabled={busy}
                  onClick={() => apply(left.map(({ id }) => id))}
                >
                  Leave these
                </button>
              </>
            ) : (
              <p className="text-sm text-muted">Everything fits.</p>
            )}
          </>
        )}
      </div>
    </section>
  );
}
