import Link from "next/link";
import { itemPath } from "@/ui/paths";
import { VerbWord } from "@/ui/verb-word";
import type { ToldChange } from "./use-what-if";

/** Which leading verdicts would be others. */
export function Changes({ changes }: { changes: readonly ToldChange[] }) {
  if (changes.length === 0) return <p className="text-muted">No leading verdict changes.</p>;
  return (
    <>
      <p className="text-sm text-muted">
        {changes.length === 1 ? "One verdict changes" : `${changes.length} verdicts change`}:
      </p>
      <ul>
        {changes.map(({ item, name, from, to }) => (
          <li key={item} className="grid gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[14rem_18rem_1fr]">
            <Link prefetch={false} href={itemPath(item)} className="font-semibold hover:underline">
              {name}
            </Link>
            <span>
              <VerbWord verb={from.verb} urgency={from.urgency} /> <span aria-hidden="true">→</span>
              <span className="sr-only"> becomes </span> <VerbWord verb={to.verb} urgency={to.urgency} />
              {from.verb === to.verb && <span className="text-sm text-muted"> {to.urgency}</span>}
            </span>
            <span className="text-sm text-muted">{to.says}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
