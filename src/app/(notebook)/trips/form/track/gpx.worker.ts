import { joinTracks, nameOf, type ReadTrack } from "@/core/track/join";
import { thinned } from "@/core/track/thin";
import { readGpx } from "@/formats/gpx";
import type { ReadWalk } from "./read-track";

/** Reads tracks and joins them away from the page, so that it never waits for them. */
self.onmessage = ({ data }: MessageEvent<readonly { name: string; text: string }[]>) => {
  self.postMessage(walkOf(data));
};

function walkOf(files: readonly { name: string; text: string }[]): ReadWalk {
  const tracks: ReadTrack[] = [];
  let name = "";
  for (const file of files) {
    const read = readGpx(file.text, file.name);
    if (!read.ok) return files.length > 1 ? { ok: false, why: `${file.name}: ${read.why}` } : read;
    tracks.push(...read.tracks);
    name ||= read.name;
  }
  const joined = joinTracks(tracks);
  if (!joined.ok) return joined;
  const { whole, byTrack, byDay, notes, clock } = joined.value;
  return {
    ok: true,
    name: files.length > 1 ? nameOf(tracks) : name,
    whole,
    byTrack,
    byDay,
    notes,
    clock,
    track: thinned(joined.value),
  };
}
