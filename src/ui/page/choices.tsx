import Link from "next/link";
import type { ReactNode } from "react";

/** One of several ways to look at a page. */
interface Choice {
  readonly key: string;
  readonly href: string;
  readonly words: ReactNode;
}

interface ChoicesProps {
  /** What is chosen, for those who can't see it. */
  readonly label: string;
  readonly choices: readonly Choice[];
  readonly chosen: string;
  readonly look?: string;
}

/** Ways to look at a page, as links: the one that it is looked at in stands out. */
export function Choices({ label, choices, chosen, look = "" }: ChoicesProps) {
  return (
    <p
      className={`mb-3 flex flex-wrap gap-x-4 border-b border-rule pb-2 ${look}`}
      role="group"
      aria-label={label}
    >
      {choices.map(({ key, href, words }) => (
        <Link
          key={key}
          prefetch={false}
          href={href}
          aria-current={key === chosen ? "page" : undefined}
          className={key === chosen ? "font-bold" : "link"}
        >
          {words}
        </Link>
      ))}
    </p>
  );
}
