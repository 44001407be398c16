import { readGpx, type ReadGpx } from "@/formats/gpx";

/** Reads a track away from the page, so that it never waits for it. */
self.onmessage = ({ data }: MessageEvent<string>) => {
  const answer: ReadGpx = readGpx(data);
  self.postMessage(answer);
};
