import type { Caution } from "../reasons/finding";

/** Short, and only where one is due. */
export const CAUTIONS: Readonly<Record<Caution, string>> = {
  "frozen filter":
    "A filter that may have frozen wet can't be tested at home. Do not trust it with your water.",
  "unknown filter": "Where it wintered nobody can tell, and frost damage can't be seen or tested at home.",
  "gas leak": "Turn it off at the valve, out of doors, away from flame. A leaking stove is not used.",
  medicines: "Nettle Tally watches dates only; for doses ask a pharmacist or doctor.",
  treatment:
    "Permethrin: outdoors, wet product kept from cats and from water, dry before wear, by the label.",
  beacon: "Beacons fail too: leave a plan with someone.",
  ice: "Ask locally about late snow and shaded ice before leaving it.",
  "cold night": "A cold night can be dangerous: take the warmer one where you are not sure.",
  insulation: "Weather turns: something warm always goes along.",
};
