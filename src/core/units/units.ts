import { z } from "zod";

export const Units = z.object({
  weight: z.enum(["g", "oz"]).default("g"),
  distance: z.enum(["km", "mi"]).default("km"),
  temperature: z.enum(["C", "F"]).default("C"),
});
export type Units = z.infer<typeof Units>;
