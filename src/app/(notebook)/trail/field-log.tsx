"use client";

import { useMemo, useState } from "react";
import type { Named } from "@/core/hear/hear";
import type { Line, TripId } from "@/core/model";
import { count, sayDays, type Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import type { CarriedIn, LegAhead } from "./carried-of";
import { InThePack } from "./in-the-pack";
import type { KeptLine } from "./field-store";
import { Lines, type ShownLine } from "./lines";
import { Preview } from "./understood";
import { useFieldLines } from "./use-field-lines";
import { useOffline, useStorage } from "./use-offline";

export interface TrailTrip {
  readonly id: TripId;
  readonly name: string;
  readonly starts: string;
  readonly ends: string;
  readonly lines: readonly Line[];
  /** What was along, then what else there is. */
  readonly along: readonly Named[];
  readonly pockets: readonly CarriedIn[];
  readonly legs: readonly LegAhead[];
}

/** The walk one is on, else the one that one is back from, else the first that is planned. */
function tripToWriteOf(trips: FieldLogProps["trips"], today: string): TrailTrip {
  const latest = trips.toSorted((a, b) => (a.starts < b.starts ? 1 : -1));
  const begun = latest.filter(({ starts }) => starts <= today);
  return begun.find(({ ends }) => today <= ends) ?? begun[0] ?? latest.at(-1) ?? trips[0];
}

interface FieldLogProps {
  readonly trips: readonly [TrailTrip, ...TrailTrip[]];
  readonly today: string;
  readonly units: Units;
}

/** The field log: a line typed, shown as it is understood, and kept on the phone before anything else. */
export function FieldLog({ trips, today, units }: FieldLogProps) {
  const [trip, setTrip] = useState(() => tripToWriteOf(trips, today));
  const there = useMemo(
    () => new Map(trips.flatMap(({ lines }) => lines.map(({ id, text }) => [id, text] as const))),
    [trips],
  );
  const { kept, waiting, wrong, write, keep } = useFieldLines(there);
  const offline = useOffline("/trail");
  const storage = useStorage();
  return (
    <div className="max-w-2xl">
      <SelectField
        label="On"
        value={trip.id}
        options={trips.map(
          ({ id, name, starts, ends }) => [id, `${name}, ${sayDays(starts, ends)}`] as const,
        )}
        onChange={({ target }) => setTrip(trips.find(({ id }) => id === target.value) ?? trip)}
      />
      <WriteLine things={trip.along} units={units} wrong={wrong} onWrite={(text) => write(trip.id, text)} />
      <p role="status" className="mt-3 text-sm text-muted">
        {waiting > 0
          ? `${count(waiting, "line")} on this phone, sent when the server answers.`
          : "Every line is saved."}{" "}
        {offline === "ready" && "This page opens without a network."}
        {offline === "no" && <Without />}
        {offline === "ready" &&
          storage === "refused" &&
          " The browser may throw away what it keeps when the phone is full: send the lines when you can."}
      </p>
      <Lines
        lines={linesOf(trip, kept)}
        things={trip.along}
        units={units}
        onChange={(line, to) => keep({ ...line, ...to, trip: trip.id, sent: false, refused: undefined })}
      />
      <InThePack trip={trip.id} pockets={trip.pockets} legs={trip.legs} />
    </div>
  );
}

/** What holds where there is no padlock, and where to get one. */
function Without() {
  return (
    <>
      Without the padlock this page opens only while the computer answers.{" "}
      <a href="/trust" className="link">
        Get the padlock
      </a>
    </>
  );
}

/** What the server has of a trip, and what the phone has, the newest first; what was deleted here is not shown. */
function linesOf(trip: TrailTrip, kept: readonly KeptLine[]): ShownLine[] {
  const here = new Set(kept.map(({ id }) => id));
  return [
    ...trip.lines.filter(({ id }) => !here.has(id)).map((line) => ({ ...line, sent: true, change: null })),
    ...kept.filter((line) => line.trip === trip.id && line.change !== "deleted"),
  ].sort((a, b) => b.at.localeCompare(a.at));
}

const example = ({ distance }: Units) => `torch died, ${distance === "km" ? "km" : "mile"} 41`;

interface WriteLineProps {
  readonly things: readonly Named[];
  readonly units: Units;
  readonly wrong: string | undefined;
  /** Why it can't be kept; null: it is. */
  readonly onWrite: (text: string) => Promise<string | null>;
}

function WriteLine({ things, units, wrong, onWrite }: WriteLineProps) {
  const [text, setText] = useState("");
  const [refused, setRefused] = useState<string>();
  const write = async () => {
    const typed = text.trim();
    if (typed === "") return setRefused(`Write something: ${example(units)}.`);
    const why = await onWrite(typed);
    setRefused(why ?? undefined);
    // The next line may be on its way already: only the one that was kept is cleared.
    if (why === null) setText((now) => (now.trim() === typed ? "" : now));
  };
  return (
    <PageForm className="mt-3" onSend={() => void write()}>
      <Field
        label="What happened"
        value={text}
        maxLength={300}
        autoComplete="off"
        enterKeyHint="done"
        placeholder={example(units)}
        error={refused ?? wrong}
        onChange={({ target }) => {
          setText(target.value);
          setRefused(undefined);
        }}
      />
      <Preview text={text} things={things} units={units} />
      <button className="btn btn-leaf mt-2 w-full sm:w-auto">Keep it</button>
    </PageForm>
  );
}
