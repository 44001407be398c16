import { callsFor } from "../evidence/chances";
import type { Trigger } from "../model";
import { listWords } from "../units/speak";
import { isCritical, type Case } from "./case";
import { PROVED_BY } from "./jobs";
import type { Finding } from "./verdict";
import { sayCost, sayTrigger } from "./words";

/** Uses after which a thing that was never mended is taken as known, even where its weather never came. */
const KNOWN_AFTER = 6;

/** Repaired, new, or of unknown past, and not yet used where it matters: try it near home first. One easy trip is no proof. */
export function prove(one: Case): Finding | null {
  const { item, history } = one;
  if (one.state !== "active" || !isCritical(one) || item.load === "consumable" || history.open) return null;
  return item.cover ? secondHandCover(one) : untried(one);
}

/** Cover is not proved by its use, which nobody wants, but by a look: it is asked for where its past is unknown. */
function secondHandCover({ item, book, marked }: Case): Finding | null {
  const looked = book
    .entriesOf(item.id)
    .some(({ what }) => what === "check" || what === "service" || what === "restock");
  if (item.past !== "unknown" || looked || marked.some(({ mark }) => mark.use === "used")) return null;
  return {
    verb: "prove",
    urgency: "before next trip",
    sureness: "likely",
    says: "Of unknown past, and not yet looked over. Try it at home before you rely on it, and log the check.",
    rule: "Cover of unknown past is looked over before it is relied on: one check, logged, is asked for.",
    evidence: [
      { text: "came to you used, its past unknown", trips: marked.map(({ outing }) => outing.trip.id) },
    ],
    ...(item.kind === "beacon"
      ? {
          caution: "Battery date, registration, a test message. Beacons fail too: leave a plan with someone.",
        }
      : {}),
  };
}

function untried(one: Case): Finding | null {
  const { item, history, marked } = one;
  const since = history.lastRepair;
  const used = marked.filter(
    ({ outing, mark }) => mark.use === "used" && (since === null || outing.trip.starts > since),
  );
  const needs = item.jobs.flatMap((job) => PROVED_BY[job] ?? []);
  const proof: readonly Trigger[] = needs.length ? needs : item.triggers;
  if (used.some(({ outing }) => callsFor(outing, proof))) return null;
  const second = item.past === "unknown";
  if (
    since === null &&
    !second &&
    (used.length >= KNOWN_AFTER || (marked.length === 0 && item.opening !== null))
  )
    return null;
  const met = needs.length ? ` in ${listWords(needs.map(sayTrigger), "or")}` : "";
  const what = since
    ? `Mended on ${since} and not used${met || " in earnest"} since`
    : second
      ? `Of unknown past and not yet tried${met}`
      : used.length
        ? `Used on ${used.length === 1 ? "one trip" : `${used.length} trips`}, never yet${met}`
        : marked.some(({ mark }) => mark.use === "hardly")
          ? `Hardly used so far${met && `, and never yet${met}`}`
          : marked.length
            ? "Carried, never yet used"
            : "New, and not yet out";
  const need = item.triggers.includes("camp time")
    ? needs.includes("rain")
      ? "one wet night out"
      : needs.includes("cold")
        ? "one cold night out"
        : "one night out"
    : needs.includes("rain")
      ? "one wet day"
      : "one day out";
  // An owner's first list is not all new: what has not been out counts as new where it was bought on a known day, or others went out without it.
  const newcomer = marked.length === 0 && (item.acquired !== null || one.book.outings.length > 0);
  const pressing = since !== null || second || newcomer;
  return {
    verb: "prove",
    urgency: pressing ? "before next trip" : "when convenient",
    sureness: pressing ? "likely" : "perhaps",
    says: `${what}. Try it near home first: ${need} will tell.`,
    rule: `Proved before it is relied on, being ${sayCost[item.consequence]} to lose: one used mark${met} ${since ? "since the repair " : ""}is asked for.`,
    evidence: [
      {
        text: what.charAt(0).toLowerCase() + what.slice(1),
        trips: marked.map(({ outing }) => outing.trip.id),
      },
    ],
    ...(since ? { caution: "A repaired safety item is unproven until it has been tried." } : {}),
  };
}
