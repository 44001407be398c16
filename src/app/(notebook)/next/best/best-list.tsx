"use client";

import { useState } from "react";
import type { ItemId, TripId } from "@/core/model";
import type { Best } from "@/core/plan/best";
import type { Weighed } from "@/core/plan/weighed";
import { parseMass } from "@/core/units/quantity";
import { count, listWords, percent, sayMass, type Units } from "@/core/units/speak";
import { Field } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { Section } from "@/ui/page/section";
import { replayPath } from "@/ui/paths";
import { useDoing } from "@/ui/use-doing";
import { leaveOut } from "../actions";
import { useSearch } from "./use-search";

interface BestListProps {
  readonly trip: TripId;
  readonly things: readonly Weighed[];
  /** Room in the pack, in litres; null where it is not told. */
  readonly litres: number | null;
  readonly units: Units;
}

/** The list of the most worth within a base weight that the owner names; searched in a worker, and to be called off. */
export function BestList({ trip, things, litres, units }: BestListProps) {
  const [typed, setTyped] = useState("");
  const { searching, best, wrong, search, stop, forget } = useSearch(things, litres);
  const { busy, run } = useDoing();
  const find = () => {
    const mass = parseMass(typed, units.weight === "g" ? "kg" : "lb");
    forget(mass.ok ? undefined : mass.why);
    if (mass.ok) search(mass.value.g);
  };
  const apply = (out: readonly ItemId[]) =>
    run(
      () => leaveOut(trip, out),
      { says: () => `${count(out.length, "thing")} left out` },
      () => forget(),
    );
  return (
    <Section title="The best list within a weight" look="no-print">
      <PageForm className="flex flex-wrap items-start gap-2" onSend={() => find()}>
        <Field
          label="Base weight at most"
          className="w-40"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
          error={wrong}
          placeholder={units.weight === "g" ? "6.5 kg" : "14 lb"}
        />
        {searching ? (
          <button type="button" className="btn mt-6 btn-tall" onClick={stop}>
            Stop
          </button>
        ) : (
          <button className="btn mt-6 btn-tall">Find it</button>
        )}
      </PageForm>
      <div aria-live="polite" className="mt-1">
        {searching && <p className="text-muted">Searching {count(things.length, "thing")} …</p>}
        {best && !best.fits && <p className="font-semibold text-sting">{whyNot(best, units)}</p>}
        {best?.fits && <Found best={best} things={things} units={units} busy={busy} onLeave={apply} />}
      </div>
    </Section>
  );
}

function whyNot({ jobs, least }: Best & { fits: false }, units: Units): string {
  const first = jobs.length
    ? `No list of that weight does it: ${listWords(jobs)} ${jobs.length === 1 ? "does" : "do"} not fit.`
    : "No list of that weight does all the critical jobs and keeps what must go: the bed, what you put on it, what strong weather calls for.";
  const then =
    least === null
      ? "The pack has no room for all the critical jobs."
      : `The least that would do is ${sayMass(least, units)}.`;
  return `${first} ${then}`;
}

/** How likely something left is wanted, and what of it the most: what the weight costs. */
function whatItCosts(left: BestListProps["things"]): string {
  const none = left.reduce((chance, thing) => chance * (1 - thing.chance), 1);
  const [first] = left.toSorted((a, b) => b.worth - a.worth);
  return (
    `What it costs: ${percent(1 - none)} that you miss some of it` +
    (first ? `, ${first.name} the most (${first.lack} to lack).` : ".")
  );
}

interface FoundProps extends Pick<BestListProps, "things" | "units"> {
  readonly best: Best & { fits: true };
  readonly busy: boolean;
  readonly onLeave: (out: readonly ItemId[]) => void;
}

function Found({ best, things, units, busy, onLeave }: FoundProps) {
  const all = things.reduce((sum, { worth }) => sum + worth, 0);
  const left = things.filter(({ id }) => !best.taken.includes(id));
  return (
    <>
      <p>
        <b>{sayMass(best.grams, units)}</b>, with {percent(all > 0 ? best.worth / all : 1)} of the worth,
        every critical job done
        {best.proved
          ? "; no list of that weight is worth more."
          : "; the best found in two seconds, not proved the best."}
      </p>
      {left.length === 0 && <p className="text-sm text-muted">Everything fits.</p>}
      {left.length > 0 && (
        <>
          <p className="text-sm">
            Falls out, to make the weight:{" "}
            {listWords(
              left.map(
                ({ name, grams, chance }) =>
                  `${name} (${sayMass(grams, units)}, used ${percent(chance)} likely)`,
              ),
            )}
            .
          </p>
          <p className="text-sm">{whatItCosts(left)}</p>
          <p className="mt-2 flex flex-wrap items-center gap-3">
            <button
              type="button"
              className="btn"
              disabled={busy}
              onClick={() => onLeave(left.map(({ id }) => id))}
            >
              Leave these
            </button>
            <a className="link" href={replayPath({ without: left.map(({ id }) => id) })}>
              What that would have cost on your days
            </a>
          </p>
        </>
      )}
    </>
  );
}
