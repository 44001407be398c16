import type { Verb } from "@/core/model";
import type { Urgency } from "@/core/model";
import { stays, VERBS, type Look } from "@/core/trade/verbs";

const LOOK: Record<Look, string> = {
  sting: "text-sting font-bold",
  stem: "text-stem font-semibold",
  leaf: "text-leaf font-semibold",
  struck: "bg-ink text-paper px-1.5 font-bold print:bg-transparent print:px-0 print:text-ink print:underline",
  quiet: "text-muted",
};

/** The verdict as a word. */
export function VerbWord({
  verb,
  urgency,
  leaning = false,
  className = "",
}: {
  verb: Verb;
  urgency?: Urgency;
  /** A leaning is drawn lighter than a verdict. */
  leaning?: boolean;
  className?: string;
}) {
  return <span className={`${lookOf(verb, urgency, leaning)} whitespace-nowrap ${className}`}>{verb}</span>;
}

function lookOf(verb: Verb, urgency: Urgency | undefined, leaning: boolean): string {
  if (leaning) return "font-medium italic text-muted";
  return urgency === "watch" && !stays(verb) ? "text-muted font-semibold" : LOOK[VERBS[verb].look];
}
