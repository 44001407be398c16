"use client";

import { nanoid } from "nanoid";
import { useCallback, useEffect, useMemo, useState } from "react";
import { hear, piecesOf, type Named } from "@/core/hear/hear";
import type { ItemId, Line, TripId } from "@/core/model";
import { sayHeard } from "@/core/say/heard";
import { count, sayDay, sayDays, type Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { forgetLines, keepLine, keptLines, sendLines, type KeptLine } from "./field-store";
import { useOffline } from "./use-offline";

export interface TrailTrip {
  readonly id: TripId;
  readonly name: string;
  readonly starts: string;
  readonly ends: string;
  readonly lines: readonly Line[];
  /** What was along, then what else there is. */
  readonly along: readonly Named[];
}

/** How often to try again while lines wait, in ms. */
const TRY_AGAIN_MS = 5000;

/** The field log: a line typed, shown as it is understood, and kept on the phone before anything else. */
export function FieldLog({
  trips,
  today,
  units,
}: {
  trips: readonly TrailTrip[];
  today: string;
  units: Units;
}) {
  const begun = trips.find(({ starts, ends }) => starts <= today && today <= ends);
  const [trip, setTrip] = useState<TrailTrip>(begun ?? trips[0]!);
  const [text, setText] = useState("");
  const [kept, setKept] = useState<readonly KeptLine[]>([]);
  const [wrong, setWrong] = useState<string>();
  const offline = useOffline("/trail");
  const look = useCallback(async () => {
    try {
      setKept(await keptLines());
    } catch {
      setWrong(
        "This browser keeps nothing for this page: lines can only be written while the server answers.",
      );
    }
  }, []);
  const send = useCallback(async () => {
    try {
      if (await sendLines()) tellOtherTabs();
    } catch {
      // Out of reach: the lines wait.
    }
    await look();
  }, [look]);
  const waiting = kept.filter(({ sent, refused }) => !sent && !refused);
  useEffect(() => {
    const go = () => void send();
    const first = setTimeout(go);
    window.addEventListener("online", go);
    return () => {
      clearTimeout(first);
      window.removeEventListener("online", go);
    };
  }, [send]);
  useEffect(() => {
    if (waiting.length === 0) return;
    const again = setInterval(() => void send(), TRY_AGAIN_MS);
    return () => clearInterval(again);
  }, [waiting.length, send]);
  // What the server's page shows by itself need not be kept here as well.
  useEffect(() => {
    const there = new Set(trips.flatMap(({ lines }) => lines.map(({ id }) => id)));
    const done = kept.filter(({ id, sent }) => sent && there.has(id)).map(({ id }) => id);
    if (done.length > 0) void forgetLines(done).then(look);
  }, [trips, kept, look]);

  const write = async () => {
    const typed = text.trim();
    if (typed === "") return setWrong("Write something: torch died, km 41.");
    const line = { id: nanoid(), at: new Date().toISOString(), text: typed, taken: false };
    try {
      await keepLine({ ...line, trip: trip.id, sent: false });
    } catch (error) {
      // Full, or refused: what was typed stays where it is.
      const why = error instanceof Error && error.name === "QuotaExceededError" ? "it is full" : "it refuses";
      return setWrong(`This phone can't keep the line: ${why}. It stays here; copy it, or make room.`);
    }
    // The next line may be on its way already: only the one that was kept is cleared.
    setText((now) => (now.trim() === typed ? "" : now));
    setWrong(undefined);
    await look();
    void send();
  };
  const here = new Set(kept.map(({ id }) => id));
  const lines: (Line & Partial<KeptLine>)[] = [
    ...trip.lines.filter(({ id }) => !here.has(id)),
    ...kept.filter((line) => line.trip === trip.id),
  ].sort((a, b) => (a.at < b.at ? 1 : -1));
  return (
    <div className="max-w-2xl">
      <SelectField
        label="On"
        value={trip.id}
        options={trips.map(
          ({ id, name, starts, ends }) => [id, `${name}, ${sayDays(starts, ends)}`] as const,
        )}
        onChange={(event) => setTrip(trips.find(({ id }) => id === event.target.value)!)}
      />
      <form
        className="mt-3"
        onSubmit={(event) => {
          event.preventDefault();
          void write();
        }}
      >
        <Field
          label="What happened"
          value={text}
          maxLength={300}
          autoComplete="off"
          enterKeyHint="done"
          placeholder="torch died, km 41"
          error={wrong}
          onChange={(event) => {
            setText(event.target.value);
            setWrong(undefined);
          }}
        />
        <Preview text={text} things={trip.along} units={units} />
        <button className="btn btn-leaf mt-2 w-full sm:w-auto">Keep it</button>
      </form>
      <p role="status" className="mt-3 text-sm text-muted">
        {waiting.length > 0
          ? `${count(waiting.length, "line")} on this phone, sent when the server answers.`
          : "Every line is saved."}{" "}
        {offline === "ready" && "This page opens without a network."}
      </p>
      <ul className="mt-2 border-t-2 border-ink" aria-label="Lines, newest first">
        {lines.map((line) => (
          <li key={line.id} className="border-b border-rule py-1.5">
            <span className="font-semibold">{line.text}</span>
            <span className="block text-sm text-muted">
              {sayDay(line.at.slice(0, 10))} ·{" "}
              <Understood text={line.text} things={trip.along} units={units} />
              {line.sent === false && !line.refused && " · waits here"}
              {line.taken && " · in the debrief"}
            </span>
            {line.refused && <span className="block text-sting">Not kept by the server. {line.refused}</span>}
          </li>
        ))}
        {lines.length === 0 && (
          <li className="py-2 text-muted">
            Nothing yet. “poncho sent home”, “cold night, 2 °C, in quilt and jacket”, “400 g of gas left”.
          </li>
        )}
      </ul>
    </div>
  );
}

const nameIn = (things: readonly Named[]) => (id: ItemId) =>
  things.find((thing) => thing.id === id)?.name ?? id;

function Understood({ text, things, units }: { text: string; things: readonly Named[]; units: Units }) {
  return useMemo(
    () =>
      sayHeard(
        hear(text, things).flatMap(({ heard }) => heard.map(({ fact }) => fact)),
        units,
        nameIn(things),
      ),
    [text, things, units],
  );
}

/** What is understood, as it is typed: the words that were, underlined, and what they come to. */
function Preview({ text, things, units }: { text: string; things: readonly Named[]; units: Units }) {
  const pieces = useMemo(() => piecesOf(hear(text, things)), [text, things]);
  if (text.trim() === "") return <p className="hint mt-1 min-h-12">It is shown here as it is understood.</p>;
  return (
    <div className="mt-1 min-h-12 border-l-4 border-catkin-strong pl-3" aria-live="polite">
      <p aria-hidden="true" className="whitespace-pre-wrap">
        {pieces.map((piece, n) => (
          <Word key={n} {...piece} />
        ))}
      </p>
      <p className="text-sm text-leaf">
        <Understood text={text} things={things} units={units} />
      </p>
    </div>
  );
}

const Word = ({ text, isHeard }: { text: string; isHeard: boolean }) =>
  isHeard ? (
    <mark className="border-b-2 border-leaf bg-leaf-soft text-ink">{text}</mark>
  ) : (
    <span className="text-muted">{text}</span>
  );
