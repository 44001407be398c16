import { z } from "zod";
import { TripId } from "./basics";

const Seconds = z.number().min(0).max(1e9);

/** A trip's track as it is kept: its sums over every point that was read, and the points that a drawing needs. */
export const Track = z.object({
  trip: TripId,
  clock: z
    .int()
    .min(-12)
    .max(14)
    .meta({ description: "Hours that the walker's clock was ahead of UTC, by the sun." }),
  metres: z.number().min(0).max(1e8),
  ascent: z.number().min(0).max(1e7).nullable(),
  descent: z.number().min(0).max(1e7).nullable(),
  movingSeconds: Seconds.nullable(),
  slopes: z
    .array(Seconds)
    .length(5)
    .nullable()
    .meta({ description: "Seconds moving steep down, down, about level, up, steep up." }),
  toblerSeconds: Seconds.nullable(),
  starts: z.iso.datetime().nullable(),
  ends: z.iso.datetime().nullable(),
  points: z
    .array(
      z.tuple([
        z.number().min(0).max(1e8),
        z.number().min(-90).max(90),
        z.number().min(-180).max(180),
        z.number().min(-11_000).max(9000).nullable(),
        z.number().min(-1e11).max(1e11).nullable(),
        z.union([z.literal(0), z.literal(1)]),
      ]),
    )
    .min(2)
    .max(20_000)
    .meta({
      description:
        "Metres from the start, latitude, longitude, metres above the sea, " +
        "seconds since 1970 UTC, 1 where the recorder began anew.",
    }),
});
export type Track = z.infer<typeof Track>;
