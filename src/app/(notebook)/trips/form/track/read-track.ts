import type { Joined } from "@/core/track/join";
import type { Track } from "@/core/model";
import { GPX_LIMIT } from "@/formats/limits";

/** What one or several GPX files come to, without their points: those stay in the worker. */
export type ReadWalk =
  | ({ readonly ok: true; readonly name: string; readonly track: Omit<Track, "trip"> } & Pick<
      Joined,
      "whole" | "byTrack" | "byDay" | "notes" | "clock"
    >)
  | { readonly ok: false; readonly why: string };

/** Longest that tracks are read, in ms: a hundred thousand points take some seconds. */
const LONGEST_MS = 120_000;
const tooLong = {
  ok: false,
  why: "It can’t be read within two minutes, and was given up. Cut it into several tracks.",
} as const;

/** Reads GPX files as one walk, in a worker, until it is told to stop; then null. */
export async function readWalk(files: readonly File[], until: AbortSignal): Promise<ReadWalk | null> {
  const large = files.find((file) => file.size > GPX_LIMIT);
  if (large)
    return {
      ok: false,
      why: `${large.name} is larger than ${GPX_LIMIT / 1024 / 1024} MB. Cut it into several tracks.`,
    };
  const worker = new Worker(new URL("./gpx.worker.ts", import.meta.url), { type: "module" });
  try {
    const texts = await Promise.all(
      files.map(async (file) => ({ name: file.name, text: await file.text() })),
    );
    return await new Promise<ReadWalk | null>((resolve, reject) => {
      if (until.aborted) resolve(null);
      until.addEventListener("abort", () => resolve(null));
      worker.onmessage = ({ data }: MessageEvent<ReadWalk>) => resolve(data);
      setTimeout(() => resolve(tooLong), LONGEST_MS);
      worker.onerror = (event) => reject(new Error(event.message));
      worker.postMessage(texts);
    });
  } finally {
    worker.terminate();
  }
}
