import type { OwnService } from "../model";

/**
 * Parts with a life of their own, by what they are called, and after how much use of their thing they are usually
 * renewed; lengths in metres. Common practice, no source.
 */
const PART_LIVES: readonly (Pick<OwnService, "every" | "unit"> & { readonly called: RegExp })[] = [
  { called: /insole|footbed/i, every: 402_336, unit: "m" },
  { called: /\blaces?\b/i, every: 1_200_000, unit: "m" },
  { called: /\btips?\b|ferrule/i, every: 1_500_000, unit: "m" },
  { called: /element|cartridge|membrane/i, every: 200, unit: "nights" },
  { called: /igniter|piezo/i, every: 150, unit: "nights" },
  { called: /elastic|shock ?cord/i, every: 250, unit: "nights" },
  { called: /washer|o-?ring|seal\b|gasket/i, every: 200, unit: "nights" },
];

/** After how much a part is usually renewed; null for one that nothing is known of. */
export const partLife = (name: string): Pick<OwnService, "every" | "unit"> | null =>
  PART_LIVES.find(({ called }) => called.test(name)) ?? null;

/** What renewing a part is called, among a thing's services. */
export const renewalOf = (part: string) => `new ${part.charAt(0).toLowerCase()}${part.slice(1)}`;
