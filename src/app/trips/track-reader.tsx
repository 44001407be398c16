"use client";

import { useState } from "react";
import { count, sayDistance, sayHeight, type Units } from "@/core/units/speak";
import { ASCENT_NOISE_M, type GpxSum } from "@/formats/gpx";
import { readTrack } from "./read-track";

/** Reads a track in a worker, and says what it came to. */
export function TrackReader({ units, onRead }: { units: Units; onRead: (track: GpxSum) => void }) {
  const [told, setTold] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const [reading, setReading] = useState(false);
  const choose = async (file: File | undefined) => {
    setTold(undefined);
    setWrong(undefined);
    if (!file) return;
    setReading(true);
    const read = await readTrack(file).catch((error: Error) => ({ ok: false as const, why: error.message }));
    setReading(false);
    if (!read.ok) return setWrong(read.why);
    onRead(read.value);
    const metres = read.value.tracks.reduce((sum, track) => sum + track.metres, 0);
    const climbed = read.value.tracks.reduce((sum, track) => sum + (track.ascent ?? 0), 0);
    const moving = read.value.tracks.reduce((sum, track) => sum + (track.movingSeconds ?? 0), 0);
    const points = read.value.tracks.reduce((sum, track) => sum + track.points, 0);
    setTold(
      `${count(points, "point")}: ${sayDistance(metres, units)}, ${climbed > 0 ? `${sayHeight(climbed, units)} up (rises under ${sayHeight(ASCENT_NOISE_M, units)} left out)` : "no heights in it"}${moving > 0 ? `, ${(moving / 3600).toFixed(1)} h moving` : ""}. Filled in below.`,
    );
  };
  return (
    <div>
      <label className="flex flex-wrap items-center gap-3">
        <span className="label !mb-0">From a track (GPX)</span>
        <input
          type="file"
          accept=".gpx,application/gpx+xml"
          className="field !w-auto max-w-full"
          onChange={(event) => void choose(event.target.files?.[0])}
          aria-invalid={wrong ? true : undefined}
          aria-describedby="track-told"
        />
      </label>
      <div id="track-told" aria-live="polite">
        {reading && (
          <p className="hint mt-1 flex items-center gap-2">
            Reading the track … <progress className="h-2" />
          </p>
        )}
        {told && <p className="mt-1 text-leaf">{told}</p>}
        {wrong && <p className="error mt-1">{wrong} You can still type the distance.</p>}
      </div>
    </div>
  );
}
