import { callsFor } from "../evidence/chances";
import { isCritical, type Case } from "./case";
import type { Finding } from "./verdict";

/** Repaired, new, or of unknown past, and not yet used where it matters: try it near home first. */
export function prove(one: Case): Finding | null {
  const { item, history, marked } = one;
  if (one.state !== "active" || !isCritical(one) || item.load === "consumable" || item.cover || history.open) return null;
  const since = history.lastRepair;
  const tried = marked.filter(({ outing, mark }) => mark.use === "used" && (since === null || outing.trip.starts > since) && callsFor(outing, item.triggers));
  if (tried.length > 0) return null;
  const second = item.past === "unknown";
  if (since === null && !second && marked.length === 0 && item.opening !== null) return null;
  const need = item.triggers.includes("camp time") ? "one night out" : item.triggers.includes("rain") ? "one wet day" : "one day out";
  const what = since ? `Mended on ${since} and not used in earnest since` : second ? "Of unknown past and not yet tried" : marked.length ? `Carried on ${marked.length === 1 ? "one trip" : `${marked.length} trips`}, never yet in earnest` : "New, and not yet out";
  return {
    verb: "prove", urgency: since || second ? "before next trip" : "when convenient", sureness: since || second ? "likely" : "perhaps",
    says: `${what}. Try it near home first: ${need} will tell.`,
    evidence: [{ text: what, trips: marked.map(({ outing }) => outing.trip.id) }],
    flips: `One used mark on a trip that calls for it.`,
    ...(since ? { caution: "A repaired safety item is unproven until it has been tried." } : {}),
  };
}
