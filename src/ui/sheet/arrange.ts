import type { Job, Stow, Verb } from "@/core/model";
import { VERB_NAMES } from "@/core/model/lists";
import type { SheetRow } from "./sheet-data";

/** What the owner asked of the sheet: plain data, computed from below. */
export interface Asked {
  readonly sort: SortName;
  readonly find: string;
  readonly kind: string;
  readonly job: Job | "";
  readonly verb: Verb | "";
  /** Index of the trip whose load alone is shown; -1 for all. */
  readonly trip: number;
}

export const EVERYTHING: Asked = { sort: "where it rides", find: "", kind: "", job: "", verb: "", trip: -1 };

export const SORT_NAMES = ["where it rides", "verdict", "dead weight", "distance", "worth"] as const;
type SortName = (typeof SORT_NAMES)[number];

const SORTS = {
  "where it rides": (a: SheetRow, b: SheetRow) => RIDES.indexOf(a.stow) - RIDES.indexOf(b.stow),
  verdict: (a: SheetRow, b: SheetRow) =>
    Number(a.ruled) - Number(b.ruled) || VERB_NAMES.indexOf(a.verb) - VERB_NAMES.indexOf(b.verb),
  "dead weight": (a: SheetRow, b: SheetRow) => b.dead - a.dead,
  distance: (a: SheetRow, b: SheetRow) => b.metres - a.metres,
  worth: (a: SheetRow, b: SheetRow) => a.worth - b.worth,
} satisfies Record<SortName, (a: SheetRow, b: SheetRow) => number>;

/** From the skin out, as one looks for a thing; the debrief goes the other way. */
const RIDES: readonly Stow[] = [
  "worn",
  "hand",
  "outside",
  "side",
  "shoulder",
  "hip",
  "lid",
  "main",
  "bag",
  "food",
];
export const STOW_NAMES: Record<Stow, string> = {
  worn: "Worn",
  hand: "In the hand",
  outside: "Outside pocket",
  side: "Side pockets",
  shoulder: "Shoulder pouch",
  hip: "Hip belt",
  lid: "Lid",
  main: "Main bag",
  bag: "In another bag",
  food: "Food bag",
};

export type Line = { readonly group: string; readonly grams: number } | { readonly row: SheetRow };

/** found → sorted → grouped, where it is sorted by where things ride. */
export function arrange(rows: readonly SheetRow[], asked: Asked): Line[] {
  const sorted = rows.filter((row) => isAsked(row, asked)).sort(SORTS[asked.sort]);
  if (asked.sort !== "where it rides") return sorted.map((row) => ({ row }));
  return RIDES.flatMap((stow): Line[] => {
    const riding = sorted.filter((row) => row.stow === stow);
    return riding.length
      ? [
          { group: STOW_NAMES[stow], grams: riding.reduce((sum, row) => sum + row.grams, 0) },
          ...riding.map((row) => ({ row })),
        ]
      : [];
  });
}

function isAsked(row: SheetRow, { find, kind, job, verb, trip }: Asked): boolean {
  return (
    (find === "" ||
      row.name.toLowerCase().includes(find.toLowerCase()) ||
      row.kind.includes(find.toLowerCase())) &&
    (kind === "" || row.kind === kind) &&
    (job === "" || row.jobs.includes(job)) &&
    (verb === "" || row.verb === verb) &&
    (trip < 0 || row.strokes[trip] !== "-")
  );
}

/** Lines from one to another, both included; none where `to` is before `from`. */
export interface Range {
  readonly from: number;
  readonly to: number;
}

/**
 * What to draw next on the way from what is drawn to what is in view: nothing out of view, and at most so
 * many lines that were not drawn before.
 */
export function towards(drawn: Range, view: Range, most: number): Range {
  const [from, to] = [Math.max(drawn.from, view.from), Math.min(drawn.to, view.to)];
  if (from > to) return { from: view.from, to: Math.min(view.to, view.from + most - 1) };
  const below = Math.min(most, view.to - to);
  return { from: from - Math.min(most - below, from - view.from), to: to + below };
}
