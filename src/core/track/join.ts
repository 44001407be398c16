import { lastOf, nth } from "../sums/there";
import { count, listWords, sayDay } from "../units/speak";
import { metresBetween, sumOf, type TrackPoint, type TrackSum } from "./sums";

/** A track as it was read, one of a file's. */
export interface ReadTrack {
  readonly file: string;
  readonly name: string;
  readonly segments: readonly (readonly TrackPoint[])[];
}

/** A stretch of the way that may become a leg. */
export interface Part {
  readonly name: string;
  /** ISO day by the walker's clock; null without times. */
  readonly on: string | null;
  readonly sum: TrackSum;
}

/** Several tracks as one walk. */
export interface Joined {
  readonly segments: readonly (readonly TrackPoint[])[];
  readonly whole: TrackSum;
  readonly byTrack: readonly Part[];
  readonly byDay: readonly Part[];
  /** Hours that the walker's clock was ahead of UTC, by the sun at the start. */
  readonly clock: number;
  /** What was noticed: overlaps left out, gaps, points without heights. */
  readonly notes: readonly string[];
}

export type JoinTracks =
  { readonly ok: true; readonly value: Joined } | { readonly ok: false; readonly why: string };

/** Faster than this, in m/s, over more than {@link JUMP_M} nobody walked, nor was driven. */
const JUMP_MS = 60;
const JUMP_M = 2000;
/** Ends further apart than this, in metres, are told as a gap. */
const GAP_M = 500;

const timesOf = ({ segments }: ReadTrack) =>
  segments.flatMap((segment) => segment.flatMap(({ time }) => (time === null ? [] : time)));

/**
 * Joins tracks to one walk, the earliest first where all have times. What a later one has of a time that an earlier one
 * told already is left out; gaps are told and not walked.
 *
 * @returns a sentence in place of the walk where a track runs backwards or jumps
 */
export function joinTracks(tracks: readonly ReadTrack[]): JoinTracks {
  for (const track of tracks) {
    const why = impossibleIn(track);
    if (why) return { ok: false, why };
  }
  const isTimed = tracks.every((track) => timesOf(track).length > 0);
  const order = isTimed ? tracks.toSorted((a, b) => nth(timesOf(a), 0) - nth(timesOf(b), 0)) : tracks;
  const notes: string[] = [];
  const kept: ReadTrack[] = [];
  let told = -Infinity;
  for (const track of order) {
    const segments = isTimed ? track.segments.map((segment) => later(segment, told)) : track.segments;
    const points = segments.flat().length;
    const lost = track.segments.flat().length - points;
    if (lost > 0)
      notes.push(
        `${called(track)} tells again of a time that another track told already: ` +
          `${count(lost, "point")} of it left out.`,
      );
    for (const time of timesOf(track)) told = Math.max(told, time);
    if (points > 1) kept.push({ ...track, segments: segments.filter(({ length }) => length > 1) });
  }
  const segments = kept.flatMap((track) => track.segments);
  notes.push(...gapsIn(kept), ...kept.flatMap(gapsWithin), ...heightsMissing(segments));
  const clock = Math.round((segments[0]?.[0]?.lon ?? 0) / 15);
  return {
    ok: true,
    value: {
      segments,
      whole: sumOf(segments),
      clock,
      notes,
      byTrack: kept.map((track) => {
        const sum = sumOf(track.segments);
        return {
          name: track.name,
          on: dayOf(sum.starts === null ? null : Date.parse(sum.starts), clock),
          sum,
        };
      }),
      byDay: isTimed ? daysOf(segments, clock) : [],
    },
  };
}

const called = ({ file, name }: ReadTrack) => (name && name !== file ? `${file} (${name})` : file);

const later = (segment: readonly TrackPoint[], told: number) =>
  segment.filter(({ time }) => time === null || time > told);

function impossibleIn(track: ReadTrack): string | null {
  const times = timesOf(track);
  if (times.length > 1 && lastOf(times) < nth(times, 0))
    return `${called(track)} ends (${sayMoment(lastOf(times))}) before it starts (${sayMoment(nth(times, 0))}).`;
  let n = 0;
  for (const segment of track.segments)
    for (const [at, point] of segment.entries()) {
      n++;
      const before = segment[at - 1];
      if (!before || before.time === null || point.time === null || point.time <= before.time) continue;
      const [metres, seconds] = [metresBetween(before, point), (point.time - before.time) / 1000];
      if (metres > JUMP_M && metres / seconds > JUMP_MS)
        return (
          `${called(track)}: point ${n} lies ${Math.round(metres / 1000)} km from the one before it, ` +
          `${count(Math.round(seconds), "second")} later. Take it out of the file, and read it again.`
        );
    }
  return null;
}

const sayMoment = (time: number) => {
  const iso = new Date(time).toISOString();
  return `${sayDay(iso.slice(0, 10))}, ${iso.slice(11, 16)} UTC`;
};

function gapsIn(tracks: readonly ReadTrack[]): string[] {
  return tracks.flatMap((track, n) => {
    const [end, start] = [tracks[n - 1]?.segments.at(-1)?.at(-1), track.segments[0]?.[0]];
    const metres = end && start ? metresBetween(end, start) : 0;
    return metres > GAP_M
      ? [
          `${(metres / 1000).toFixed(1)} km lie between ${called(nth(tracks, n - 1))} and ${called(track)}: ` +
            `they are not counted.`,
        ]
      : [];
  });
}

/** What a track itself leaves out: it is walked in a straight line, and said apart. */
function gapsWithin(track: ReadTrack): string[] {
  const { count: gaps, metres, seconds } = sumOf(track.segments).gaps;
  if (gaps === 0) return [];
  const minutes = Math.round(seconds / 60);
  return [
    `${called(track)} has ${count(gaps, "gap")}: ${(metres / 1000).toFixed(1)} km` +
      `${minutes > 0 ? ` and ${count(minutes, "minute")}` : ""} of it nobody recorded. ` +
      `They count in a straight line; the way itself was longer.`,
  ];
}

function heightsMissing(segments: readonly (readonly TrackPoint[])[]): string[] {
  const points = segments.flat();
  const without = points.filter(({ ele }) => ele === null).length;
  if (without === 0) return [];
  if (without === points.length) return ["There are no heights in it: the climb has to be typed."];
  return [`${count(without, "point")} of ${points.length} have no height: the climb may be short.`];
}

const HOUR = 3_600_000;
const dayOf = (time: number | null, clock: number) =>
  time === null ? null : new Date(time + clock * HOUR).toISOString().slice(0, 10);

/** The walk cut at its nights: where the walker's own day turns. */
function daysOf(segments: readonly (readonly TrackPoint[])[], clock: number): Part[] {
  const days = new Map<string, TrackPoint[][]>();
  let day: string | null = null;
  for (const segment of segments) {
    let piece: TrackPoint[] = [];
    const begins = segment.find(({ time }) => time !== null)?.time ?? null;
    for (const [n, point] of segment.entries()) {
      const on: string | null = dayOf(point.time, clock) ?? day ?? dayOf(begins, clock);
      if (on === null) continue;
      if (on !== day || n === 0) {
        // The step over midnight is walked on the new day.
        piece = piece.slice(-1);
        days.set(on, [...(days.get(on) ?? []), piece]);
        day = on;
      }
      piece.push(point);
    }
  }
  return [...days].map(([on, pieces]) => ({ name: sayDay(on), on, sum: sumOf(pieces) }));
}

/** What a walk read from tracks is called: the only name that they have, or their names. */
export const nameOf = (tracks: readonly ReadTrack[]) =>
  listWords([...new Set(tracks.map(({ name }) => name))].slice(0, 3));
