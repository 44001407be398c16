import { count } from "../units/speak";
import { isCritical, type Case } from "./case";
import { serviceFirst } from "./service-first";
import type { Finding } from "./verdict";
import { sayTrouble } from "./words";

/** Open damage, or a failure that can be mended and is worth it. Judged by the job lost, not by the damage seen. */
export function repair(one: Case): Finding | null {
  const { history, item, kind, marked } = one;
  const trouble = history.open;
  if (one.state !== "active" || !trouble || trouble.mark?.cause === "flat or empty") return null;
  if ((!kind.mends && trouble.failed) || serviceFirst(one)) return null;
  const goodSince = marked.filter(
    ({ outing, mark }) => outing.trip.starts > trouble.on && mark.use === "used" && mark.trouble === null,
  );
  const living = !trouble.failed && goodSince.length >= 2;
  const misuse =
    trouble.mark?.cause === "misuse" ? " It was a mishap, not wear: the thing itself is sound." : "";
  const covered =
    item.warranty !== null && item.warranty >= trouble.on && trouble.mark?.cause === "defect"
      ? " The warranty may cover it."
      : "";
  return {
    verb: "repair",
    urgency: living
      ? "watch"
      : trouble.failed
        ? isCritical(one)
          ? "now"
          : "before next trip"
        : isCritical(one)
          ? "before next trip"
          : "when convenient",
    sureness: trouble.failed ? "sure" : living ? "perhaps" : "likely",
    says: living
      ? `${sayTrouble(trouble)}; it has done ${count(goodSince.length, "trip")} since without trouble. Mend it when you have the needle out.`
      : `${sayTrouble(trouble)}, and nothing done about it yet.${misuse}${covered} Mend it.`,
    evidence: [
      { text: sayTrouble(trouble), trips: trouble.trip ? [trouble.trip] : [] },
      ...(goodSince.length
        ? [
            {
              text: `used since without trouble on ${count(goodSince.length, "trip")}`,
              trips: goodSince.map(({ outing }) => outing.trip.id),
            },
          ]
        : []),
    ],
    rule: living
      ? "Damage that has done two good trips since is only to be watched."
      : `${trouble.failed ? "A failure" : "Damage"} that can be mended, and that nothing has been done about.`,
    ...(isCritical(one)
      ? { caution: "Once mended it is unproven: try it near home before you rely on it." }
      : {}),
  };
}
