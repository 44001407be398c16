import type { Followed } from "../../ledger/followed";
import { VERBS } from "../../trade/verbs";
import { capital, several, inWords, sayMass, type Units } from "../../units/speak";

/** What became of what was advised before a walk, a sentence for each sort of it; none where nothing was kept. */
export function sayFollowed(all: readonly Followed[], units: Units): string[] {
  const told = all.filter(({ leave }) => leave);
  const warned = all.filter(({ verb, urgency }) => VERBS[verb].warns && urgency !== "watch");
  return [
    ...(told.length > 0 ? [sayLeft(told, units)] : []),
    ...(warned.length > 0 ? [sayWarned(warned)] : []),
  ];
}

function sayLeft(told: readonly Followed[], units: Units): string {
  const left = told.filter(({ packed }) => !packed);
  const taken = told.filter(({ packed }) => packed);
  const spared = left.reduce((sum, { saves }) => sum + (saves ?? 0), 0);
  const missed = left.filter(({ came }) => came === "missed").length;
  const used = taken.filter(({ came }) => came === "used" || came === "failed").length;
  const stayed = `${inWords(left.length)} stayed at home${spared > 0 ? `, ${sayMass(spared, units)} less` : ""}`;
  const parts = [
    ...(left.length > 0
      ? [`${stayed}; ${missed === 0 ? "none was missed" : `${inWords(missed)} missed`}`]
      : []),
    ...(taken.length > 0
      ? [
          `${inWords(taken.length)} went along all the same; ${used === 0 ? "none was used" : `${inWords(used)} used`}`,
        ]
      : []),
  ];
  return `Of ${several(told.length, "thing")} that you were told to leave, ${parts.join(", and ")}.`;
}

function sayWarned(warned: readonly Followed[]): string {
  const went = warned.filter(({ packed }) => packed);
  const failed = went.filter(({ came }) => came === "failed").length;
  const stayed = warned.length - went.length;
  const came = failed === 0 ? "none failed" : `${inWords(failed)} failed`;
  if (went.length === 0) return `What had to be seen to first stayed at home: ${several(stayed, "thing")}.`;
  const others = stayed > 0 ? `, ${inWords(stayed)} stayed at home` : "";
  return `${capital(several(went.length, "thing"))} that had to be seen to first went along all the same${others}; ${came}.`;
}
