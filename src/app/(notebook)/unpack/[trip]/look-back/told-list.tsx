import type { ReactNode } from "react";

/** What has been said so far, a line each, with a button that takes it back. */
export function ToldList({
  told,
  onRemove,
}: {
  told: readonly { readonly name: string; readonly says: ReactNode }[];
  onRemove: (n: number) => void;
}) {
  return (
    <ul>
      {told.map(({ name, says }, n) => (
        <li key={`${n} ${name}`} className="flex items-center gap-3 border-b border-rule py-1">
          <span className="min-w-0">{says}</span>
          <button
            type="button"
            className="btn btn-plain ml-auto !min-h-8 pointer-coarse:!min-h-11"
            onClick={() => onRemove(n)}
          >
            Remove<span className="sr-only"> {name}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
