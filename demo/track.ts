import { joinTracks } from "@/core/track/join";
import { thinned } from "@/core/track/thin";
import type { Track } from "@/core/model";

/** One day of the recorder: how far, up and down to where. */
const DAYS: readonly (readonly [km: number, endsAt: number])[] = [
  [17, 60],
  [19, 140],
  [16, 90],
  [18, 210],
  [18, 320],
  [21, 780],
  [20, 640],
  [22, 910],
  [20, 720],
  [21, 860],
  [19, 980],
  [20, 700],
  [18, 840],
  [20, 910],
  [19, 620],
  [16, 480],
  [20, 210],
  [21, 130],
  [20, 60],
  [19, 25],
  [2, 5],
];

/** The Long Quill as a recorder had it: a made-up way in the middle of an ocean, up a spine and down to a light. */
export function quillTrack(): Omit<Track, "trip"> {
  let [lat, lon, ele, heading] = [-31.4, -13.2, 4, 0.4];
  const walked = joinTracks(
    DAYS.map(([km, endsAt], day) => {
      const steps = km * 20;
      const from = ele;
      return {
        file: "quill.gpx",
        name: `Day ${day + 1}`,
        segments: [
          Array.from({ length: steps + 1 }, (_, n) => {
            if (n > 0) {
              heading += 0.12 * Math.sin(day * 7 + n / 9) + 0.02 * Math.sin(n / 31);
              lat += (Math.cos(heading) * 50) / 111_200;
              lon += (Math.sin(heading) * 50) / 95_000;
              ele =
                from +
                ((endsAt - from) * n) / steps +
                (60 + from / 5) * Math.sin((Math.PI * n) / steps) * Math.abs(Math.sin(n / 19 + day));
            }
            return {
              lat,
              lon,
              ele: Math.round(ele),
              // Off at eight by the sun, fifty metres in about three quarters of a minute.
              time: Date.UTC(2025, 5, 7 + day, 9, 0, n * 46),
            };
          }),
        ],
      };
    }),
  );
  if (!walked.ok) throw new Error(`quillTrack: ${walked.why}`);
  return thinned(walked.value);
}
