"use client";

import Link from "next/link";
import { useState, type ReactNode } from "react";
import type { ItemId, Verb } from "@/core/model";
import { VerbWord } from "@/ui/verb-word";
import { Lane } from "./lane";
import type { SlipData } from "./slip/slip-data";
import { itemPath } from "@/ui/paths";

/** A list that is drawn when it is opened. */
export function Folded({
  title,
  id,
  children,
}: {
  title: ReactNode;
  /** Where a link finds it. */
  id?: string;
  children: () => ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <details id={id} className="mb-6" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="font-head text-lg font-bold">{title}</summary>
      {open && children()}
    </details>
  );
}

/** One line of what is kept, or has gone. */
export interface PlainLine {
  readonly item: ItemId;
  readonly name: string;
  readonly verb: Verb;
  readonly says: string;
}

/** What goes along again: a table, not forty slips that say the same. */
export function Kept({ lines }: { lines: readonly PlainLine[] }) {
  return (
    <Folded title={`Keep (${lines.length})`}>
      {() => (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="What is kept">
          <table className="w-full text-[0.95rem]">
            <tbody>
              {lines.map(({ item, name, verb, says }) => (
                <tr key={item} className="border-b border-rule align-top">
                  <td className="py-1 pr-4">
                    <Link
                      prefetch={false}
                      href={itemPath(item)}
                      className="inline-block min-h-6 min-w-6 hover:underline"
                    >
                      {name}
                    </Link>
                  </td>
                  <td className="whitespace-nowrap py-1 pr-4">
                    <VerbWord verb={verb} />
                  </td>
                  <td className="py-1 text-sm text-muted">{says}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Folded>
  );
}

/** What has left, and how: told as done, with nothing to rule on. */
export function Gone({ lines }: { lines: readonly PlainLine[] }) {
  return (
    <Folded title={`Gone (${lines.length})`}>
      {() => (
        <ul>
          {lines.map(({ item, name, says }) => (
            <li key={item} className="border-b border-rule py-1 text-[0.95rem]">
              <Link
                prefetch={false}
                href={itemPath(item)}
                className="inline-block min-h-6 min-w-6 font-semibold hover:underline"
              >
                {name}
              </Link>{" "}
              <span className="text-muted">{says}</span>
            </li>
          ))}
        </ul>
      )}
    </Folded>
  );
}

/** What was overruled or put off. */
export function RuledOn({ slips }: { slips: readonly SlipData[] }) {
  return (
    <Folded title={`Ruled on (${slips.length})`}>
      {() => <Lane name="Ruled on" about="as you decided" slips={slips} />}
    </Folded>
  );
}
