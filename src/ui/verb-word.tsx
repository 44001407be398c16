import type { Verb } from "@/core/model";
import type { Urgency } from "@/core/verdict/verdict";

const LOOK: Record<Verb, string> = {
  replace: "text-sting font-bold",
  repair: "text-sting font-bold",
  service: "text-stem font-semibold",
  prove: "text-stem font-semibold",
  drop: "bg-ink text-paper px-1.5 font-bold print:bg-transparent print:px-0 print:text-ink print:underline",
  "bring only when": "text-leaf font-semibold",
  slim: "text-leaf font-semibold",
  swap: "text-stem font-semibold",
  add: "text-leaf font-semibold",
  "keep as cover": "text-muted",
  keep: "text-muted",
};

/** The verdict as a word. */
export function VerbWord({
  verb,
  urgency,
  className = "",
}: {
  verb: Verb;
  urgency?: Urgency;
  className?: string;
}) {
  return (
    <span
      className={`${urgency === "watch" && (verb === "repair" || verb === "replace") ? "text-muted font-semibold" : LOOK[verb]} whitespace-nowrap ${className}`}
    >
      {verb}
    </span>
  );
}
