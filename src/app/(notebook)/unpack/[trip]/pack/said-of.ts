import type { Mark } from "@/core/model";
import { listWords, percent } from "@/core/units/speak";
import { FROST_WORDS } from "../panel/panel-questions";
import type { Thing } from "./pockets";

/** All that is said of a thing beside its use, in the row's few words. */
export function saidOf(thing: Thing, mark: Mark | null, draft: Partial<Mark> | undefined): string {
  const condition = mark?.condition ?? draft?.condition ?? null;
  return [
    ...(mark ? troubleSaid(mark) : []),
    condition === null ? "" : `condition ${condition}`,
    mark?.call ?? draft?.call,
    ...(mark ? amountsSaid(thing, mark) : []),
    mark?.note || draft?.note,
  ]
    .filter(Boolean)
    .join(" · ");
}

const troubleSaid = (mark: Mark) => [
  listWords(mark.troubles),
  listWords(mark.symptoms),
  listWords(mark.complaints.map(({ what }) => what)),
  mark.exit?.how,
  mark.cause,
  // Why it stayed in the pack is no news of what was used, unless there was too much of it.
  mark.use === "used" && mark.why !== "too much of it" ? null : mark.why,
  mark.fix,
];

const amountsSaid = (thing: Thing, mark: Mark) => [
  mark.frost && !thing.freezes && FROST_WORDS[mark.frost],
  mark.days !== null && `used on ${mark.days} of ${thing.days ?? "its"} days`,
  mark.enough !== null && `${mark.enough} would do`,
  mark.left !== null && `${percent(mark.left)} left`,
  mark.pieces ? `${mark.pieces} gone` : null,
];
