"use client";

import { useState } from "react";
import type { NightLow } from "@/core/weather/night-lows";
import { count } from "@/core/units/speak";
import { THERMOMETER_LIMIT } from "@/formats/limits";

/** What reads a thermometer's log: few have one. */
const READERS = () => Promise.all([import("@/formats/thermometer-csv"), import("@/core/weather/night-lows")]);

/** Finds each night's low in a thermometer's log. */
export function NightLog({
  days: { starts, ends },
  onRead,
}: {
  days: { readonly starts: string; readonly ends: string };
  onRead: (lows: readonly NightLow[]) => void;
}) {
  const [text, setText] = useState<string>();
  const [told, setTold] = useState<readonly string[]>([]);
  const [wrong, setWrong] = useState<string>();
  const [asks, setAsks] = useState(false);
  const read = async (log: string, unit?: "C" | "F") => {
    setTold([]);
    setWrong(undefined);
    const [{ readThermometer }, { nightLows }] = await READERS();
    const file = readThermometer(log, unit);
    setAsks(!file.ok && file.asks === "unit");
    if (!file.ok) return setWrong(file.why);
    const found = nightLows(file.readings, starts, ends);
    if ("why" in found) return setWrong(found.why);
    setTold([
      `${count(file.readings.length, "reading")}: ${count(found.nights.length, "night")} with a low.`,
      ...found.notes,
    ]);
    onRead(found.nights);
  };
  const choose = async (file: File | undefined) => {
    setText(undefined);
    setTold([]);
    setWrong(undefined);
    setAsks(false);
    if (!file) return;
    if (file.size > THERMOMETER_LIMIT)
      return setWrong(`${file.name} is larger than ${THERMOMETER_LIMIT / 1024 / 1024} MB.`);
    const log = await file.text();
    setText(log);
    await read(log);
  };
  return (
    <div className="mt-2">
      <label className="flex flex-wrap items-center gap-3">
        <span className="label !mb-0">Lows from a thermometer&rsquo;s log (CSV)</span>
        <input
          type="file"
          accept=".csv,text/csv,text/plain"
          className="field !w-auto max-w-full"
          aria-invalid={wrong ? true : undefined}
          aria-describedby="night-log-told"
          onChange={(event) => void choose(event.target.files?.[0])}
        />
      </label>
      <div id="night-log-told" aria-live="polite">
        {told.map((line) => (
          <p key={line} className="mt-1 text-sm">
            {line}
          </p>
        ))}
        {wrong && <p className="error mt-1">{wrong}</p>}
      </div>
      {asks && text !== undefined && (
        <div className="mt-1 flex gap-2">
          {(["C", "F"] as const).map((unit) => (
            <button key={unit} type="button" className="btn" onClick={() => void read(text, unit)}>
              They are °{unit}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
