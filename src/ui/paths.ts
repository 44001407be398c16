/** Where things are. An id may be in any script: in a link, and in a header above all, it is encoded. */
export const itemPath = (id: string) => `/item/${encodeURIComponent(id)}`;
export const tripPath = (id: string) => `/trips/${encodeURIComponent(id)}`;
export const unpackPath = (id: string) => `/unpack/${encodeURIComponent(id)}`;
export const kitPath = (id: string) => `/next/kits/${encodeURIComponent(id)}`;

/** A list held against the owner's own days: which, over which of them, and what is left out of it and put in. */
export function replayPath({
  list = "next",
  over = "all",
  without = [],
  and = [],
}: {
  readonly list?: string;
  readonly over?: string;
  readonly without?: readonly string[];
  readonly and?: readonly string[];
}): string {
  const query = new URLSearchParams([
    ["list", list],
    ["over", over],
    ...without.map((id) => ["without", id]),
    ...and.map((id) => ["and", id]),
  ]);
  return `/next/replay?${query}`;
}
