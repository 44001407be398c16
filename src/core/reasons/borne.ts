import { livesWith, mayBeBorne } from "../belief/taste";
import type { Case } from "../decide/case";

/**
 * Trips that a thing went along on since it was first complained of, where its owner lives with that by now,
 * going by all that they ever complained of; null where they may yet let it go.
 */
export function tripsBorne({ marked, taste }: Pick<Case, "marked" | "taste">): number | null {
  const first = marked.findIndex(({ mark }) => mark.complaints.length > 0);
  if (first < 0) return null;
  const trips = marked.length - 1 - first;
  const whats = new Set(marked.flatMap(({ mark }) => mark.complaints.map(({ what }) => what)));
  const isBorne = [...whats].every((what) => {
    const patience = taste.patience.get(what);
    return patience && mayBeBorne(what) && livesWith(patience, trips);
  });
  return isBorne ? trips : null;
}
