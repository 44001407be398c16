import type { Day } from "@/core/replay/days";
import { capital, sayDay } from "@/core/units/speak";
import { Section } from "@/ui/page/section";
import { tripPath } from "@/ui/paths";

interface WhatProps {
  readonly title: string;
  readonly none: string;
  readonly told: readonly { readonly words: string; readonly days: readonly Day[] }[];
}

/** Days shown beside a sentence; more are on their trips' pages. */
const SHOWN = 8;

/** What would have gone wrong, each with the days that it was on, to be opened. */
export function What({ title, none, told }: WhatProps) {
  return (
    <Section title={title} note={told.length > 0 ? told.length : undefined}>
      {told.length === 0 && <p className="text-muted">{none}</p>}
      <ul>
        {told.map(({ words, days }) => (
          <li key={words} className="border-b border-rule py-1.5">
            <span className="font-semibold">{capital(words)}</span>
            <span className="block text-sm text-muted">
              {days.slice(0, SHOWN).map((day, n) => (
                <span key={`${day.trip} ${day.n}`}>
                  {n > 0 && ", "}
                  {/* A whole page, so that the day is the target there and stands out. */}
                  <a href={`${tripPath(day.trip)}#day-${day.n}`} className="link">
                    {sayDay(day.on)}
                  </a>
                </span>
              ))}
              {days.length > SHOWN && ` and ${days.length - SHOWN} more`}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}
