import { count } from "../units/speak";
import type { Case } from "./case";
import type { Finding } from "./verdict";
import { onTrips } from "./words";

/** It works and is used, but keeps annoying, or its owner wants another sort. */
export function swap(one: Case): Finding | null {
  if (one.state !== "active") return null;
  const annoyed = one.marked.filter(({ mark }) => mark.use !== "unused" && (mark.trouble === "nuisance" || mark.why === "awkward" || mark.why === "uncomfortable"));
  const wants = one.marked.at(-1)?.mark.call === "try something else";
  if (annoyed.length < 2 && !wants) return null;
  const trips = annoyed.map(({ outing }) => outing.trip.id);
  const told = annoyed.findLast(({ mark }) => mark.note)?.mark.note.replace(/\.$/, "");
  return {
    verb: "swap", urgency: "when convenient", sureness: annoyed.length >= 3 ? "likely" : "perhaps",
    says: annoyed.length ? `It works, and it annoyed ${onTrips(trips, one)}${told ? `: ${told.charAt(0).toLowerCase()}${told.slice(1)}` : ""}. Look for another sort.` : "You said you'd try something else. It still does its job until then.",
    evidence: [{ text: annoyed.length ? `a nuisance on ${count(annoyed.length, "trip")}` : "your call after the last trip", trips }],
    flips: "Two more trips on which it gives no trouble.",
  };
}
