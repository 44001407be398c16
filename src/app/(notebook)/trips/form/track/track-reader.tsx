"use client";

import { useState } from "react";
import type { Part } from "@/core/track/join";
import { ASCENT_NOISE_M } from "@/core/track/noise";
import { count, sayDistance, sayHeight, type Units } from "@/core/units/speak";
import { readWalk, type ReadWalk } from "./read-track";

/** A walk that was read. */
export type Walk = ReadWalk & { readonly ok: true };

/** How a walk is cut into legs. */
const CUTS = [
  ["byDay", "a leg for each day"],
  ["byTrack", "a leg for each track"],
  ["whole", "one leg"],
] as const;
type Cut = (typeof CUTS)[number][0];

interface TrackReaderProps {
  readonly units: Units;
  readonly onRead: (walk: Walk, parts: readonly Part[]) => void;
}

/** Reads tracks in a worker, says what they came to and what was noticed, and cuts them into legs. */
export function TrackReader({ units, onRead }: TrackReaderProps) {
  const [walk, setWalk] = useState<Walk>();
  const [cut, setCut] = useState<Cut>("whole");
  const [wrong, setWrong] = useState<string>();
  const [reading, setReading] = useState<AbortController>();
  const take = (read: Walk, how: Cut) => {
    setCut(how);
    onRead(read, partsBy(read, how));
  };
  const choose = async (files: readonly File[]) => {
    setWalk(undefined);
    setWrong(undefined);
    if (files.length === 0) return;
    const until = new AbortController();
    setReading(until);
    const read = await readWalk(files, until.signal).catch((error: Error) => ({
      ok: false as const,
      why: error.message,
    }));
    setReading(undefined);
    if (read === null) return;
    if (!read.ok) return setWrong(read.why);
    setWalk(read);
    take(read, read.byTrack.length > 1 ? "byTrack" : "whole");
  };
  return (
    <div>
      <label className="flex flex-wrap items-center gap-3">
        <span className="label !mb-0">From tracks (GPX, one or several)</span>
        <input
          type="file"
          multiple
          accept=".gpx,application/gpx+xml"
          className="field !w-auto max-w-full"
          onChange={(event) => void choose([...(event.target.files ?? [])])}
          aria-invalid={wrong ? true : undefined}
          aria-describedby="track-told"
        />
      </label>
      <div id="track-told" aria-live="polite">
        {reading && (
          <p className="hint mt-1 flex items-center gap-2">
            Reading the track … <progress className="h-2" />
            <button type="button" className="btn" onClick={() => reading.abort()}>
              Stop
            </button>
          </p>
        )}
        {walk && <p className="mt-1 text-leaf">{told(walk, units)}</p>}
        {walk?.notes.map((note) => (
          <p key={note} className="mt-1 border-l-4 border-catkin-strong pl-3">
            {note}
          </p>
        ))}
        {wrong && <p className="error mt-1">{wrong} You can still type the distance.</p>}
      </div>
      {walk && <Cuts walk={walk} cut={cut} onCut={(how) => take(walk, how)} />}
    </div>
  );
}

interface CutsProps {
  readonly walk: Walk;
  readonly cut: Cut;
  readonly onCut: (cut: Cut) => void;
}

function Cuts({ walk, cut, onCut }: CutsProps) {
  return (
    <div role="radiogroup" aria-label="Cut into legs" className="mt-1 flex flex-wrap gap-x-4">
      {CUTS.filter(([how]) => how === "whole" || walk[how].length > 1).map(([how, words]) => (
        <label key={how} className="inline-flex min-h-8 items-center gap-2 pointer-coarse:min-h-11">
          <input
            type="radio"
            name="cut"
            className="size-5"
            checked={cut === how}
            onChange={() => onCut(how)}
          />
          {words}
          {how !== "whole" && ` (${walk[how].length})`}
        </label>
      ))}
    </div>
  );
}

const partsBy = (walk: Walk, cut: Cut): readonly Part[] =>
  cut === "whole"
    ? [{ name: "", on: walk.byDay[0]?.on ?? walk.byTrack[0]?.on ?? null, sum: walk.whole }]
    : walk[cut];

function told({ whole, clock, byDay }: Walk, units: Units): string {
  const { metres, ascent, descent, movingSeconds, points } = whole;
  return [
    `${count(points, "point")}: ${sayDistance(metres, units)}`,
    ascent === null || descent === null
      ? "no heights in it"
      : `${sayHeight(ascent, units)} up, ` +
        `${sayHeight(descent, units)} down (rises under ${sayHeight(ASCENT_NOISE_M, units)} left out)`,
    movingSeconds !== null && movingSeconds > 0 ? `${(movingSeconds / 3600).toFixed(1)} h moving` : "",
    byDay.length > 1
      ? `${count(byDay.length, "day")} by the sun's time there (UTC${clock < 0 ? "−" : "+"}${Math.abs(clock)})`
      : "",
  ]
    .filter(Boolean)
    .join(", ")
    .concat(". Filled in below.");
}
