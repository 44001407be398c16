import type { ReactNode } from "react";

/** A figure with its name, inside a `dl`. */
export function Figure({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div>
      <dt className="text-sm text-muted">{name}</dt>
      <dd className="num text-lg">{children}</dd>
    </div>
  );
}
