import Link from "next/link";
import type { ReactNode } from "react";

interface FigureProps {
  readonly name: string;
  /** The page that it comes from, where that is another. */
  readonly from?: string;
  readonly children: ReactNode;
}

/** A figure with its name, inside a `dl`; pressed, it leads to where it comes from. */
export function Figure({ name, from, children }: FigureProps) {
  return (
    <div>
      <dt className="text-sm text-muted">{name}</dt>
      <dd className="num text-lg">
        {from === undefined ? (
          children
        ) : (
          <Link
            prefetch={false}
            href={from}
            className="decoration-1 underline decoration-dotted underline-offset-4"
          >
            {children}
          </Link>
        )}
      </dd>
    </div>
  );
}
