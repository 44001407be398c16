import type { Fault, Kind, ServiceRule } from "../kinds";
import type { Case } from "./case";
import type { Trouble } from "./history";

/** How owners put it, in a mark's note: what let them down was of a sort that a service may bring back. */
const SIGNS: Readonly<Record<Fault, RegExp>> = {
  leak: /\b(leak|wet|soak|seep|drip|damp|water ?proof|let(s|ting)? (the )?(rain|water))/i,
  clog: /\b(clog|slow|block|trickl|no flow|weak|sputter|splutter)/i,
  "lost loft": /\b(loft|flat|clump|thin)/i,
};

/** Trouble that is not of the thing's age: a mishap is mended, a defect exchanged, an empty thing filled. */
const OTHER_CAUSES = ["misuse", "defect", "poor design", "flat or empty"] as const;

/**
 * The open trouble, where it is a leak, a clog or lost loft that a service may bring back: judged by the job lost, such a thing
 * is serviced, then proved, before it is mended or replaced. Null where it came back after a service, or is beyond it.
 */
export function serviceFirst({
  item,
  kind,
  book,
  history,
}: Pick<Case, "item" | "kind" | "book" | "history">): {
  readonly trouble: Trouble;
  readonly rule: Cure;
} | null {
  const trouble = history.open;
  const mark = trouble?.mark;
  if (
    !trouble ||
    mark?.condition === 0 ||
    mark?.call === "replace" ||
    OTHER_CAUSES.some((cause) => cause === mark?.cause)
  )
    return null;
  const rule = cureFor(kind, noteOf(trouble));
  if (!rule) return null;
  const services = book
    .entriesOf(item.id)
    .filter(({ what }) => what === "service" || what === "wash" || what === "repair");
  const triedBefore = history.troubles.some(
    (before) =>
      before.on < trouble.on &&
      cureFor(kind, noteOf(before)) === rule &&
      services.some(({ on }) => on >= before.on && on <= trouble.on),
  );
  return triedBefore ? null : { trouble, rule };
}

type Cure = ServiceRule & { readonly cures: Fault };

/** The service that may bring back what a note complains of, in a thing of this kind. */
export const cureFor = ({ services }: Kind, note: string) =>
  services.find((rule): rule is Cure => rule.cures !== undefined && SIGNS[rule.cures].test(note));

const noteOf = ({ mark, entry }: Trouble) => mark?.note ?? entry?.note ?? "";
