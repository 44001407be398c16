import { nth } from "../sums/there";
import type { Incident } from "../ledger/history";
import type { Cause, Symptom } from "../model";
import type { ServiceRule } from "../trade/kind";
import { SYMPTOM_RULES } from "../trade/symptoms";
import type { Case } from "../decide/case";

interface Ailment {
  readonly symptoms: readonly Symptom[];
  readonly cause: Cause | null;
  readonly failed: boolean;
  readonly condition: number | null;
}

/**
 * Trouble that is not of the thing's use: a mishap is mended, a defect exchanged, a design lived with or
 * swapped, an empty thing filled.
 */
const OTHER_CAUSES: readonly (Cause | null)[] = ["misuse", "defect", "poor design", "flat or empty"];

/**
 * The service that may bring back what ails a thing: the one that cures its symptoms. Where no symptom was
 * told, a thing that stopped doing its job by wear, or is graded low by it, has most likely lost what its
 * service restores.
 */
export function cureOf(
  { kind }: Pick<Case, "kind">,
  { symptoms, cause, failed, condition }: Ailment,
): ServiceRule | null {
  const curing = kind.services.filter(({ cures }) => cures !== undefined);
  if (failed && cause === "defect") return null;
  if (symptoms.length > 0) {
    const main = symptoms.find((symptom) => SYMPTOM_RULES[symptom].losesJob) ?? nth(symptoms, 0);
    return curing.find(({ cures }) => cures!.includes(main)) ?? null;
  }
  if (OTHER_CAUSES.includes(cause) || kind.mends === "damage") return null;
  const lost = failed || (condition !== null && condition <= 2);
  return (
    (cause === "worn" &&
      lost &&
      curing.find(({ cures }) => cures!.some((each) => SYMPTOM_RULES[each].losesJob))) ||
    null
  );
}

/** Did it come back, though it was serviced after the same trouble before? */
export function triedBefore({ item, book, history }: Case, trouble: Incident): boolean {
  const services = book
    .entriesOf(item.id)
    .filter(({ what }) => what === "service" || what === "wash" || what === "repair");
  return history.troubles.some(
    (before) => before.on < trouble.on && services.some(({ on }) => on >= before.on && on <= trouble.on),
  );
}
