import { GPX_LIMIT, type ReadGpx } from "@/formats/gpx";

/** Reads a GPX file in a worker. */
export async function readTrack(file: File): Promise<ReadGpx> {
  if (file.size > GPX_LIMIT)
    return {
      ok: false,
      why: `${file.name} is larger than ${GPX_LIMIT / 1024 / 1024} MB. Cut it into several tracks.`,
    };
  const worker = new Worker(new URL("./gpx.worker.ts", import.meta.url), { type: "module" });
  try {
    const text = await file.text();
    return await new Promise<ReadGpx>((resolve, reject) => {
      worker.onmessage = ({ data }: MessageEvent<ReadGpx>) => resolve(data);
      worker.onerror = (event) => reject(new Error(event.message));
      worker.postMessage(text);
    });
  } finally {
    worker.terminate();
  }
}
