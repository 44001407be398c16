/** A page of the notebook; `key` follows `g`. */
export interface Place {
  readonly href: string;
  readonly label: string;
  readonly key: string;
  /** Pages that stand under it. */
  readonly under?: readonly Place[];
}

/** Pages of one moment of a walk, or of none. */
export interface PlaceGroup {
  readonly name: string;
  /** The same where there is little room. */
  readonly short: string;
  readonly places: readonly Place[];
}

/** The edge of the notebook: its pages by when one wants them, and apart from these what is kept. */
export const GROUPS: readonly PlaceGroup[] = [
  {
    name: "On the way",
    short: "On the way",
    places: [{ href: "/trail", label: "Trail", key: "l" }],
  },
  {
    name: "Back home",
    short: "Back home",
    places: [
      { href: "/unpack", label: "Unpack", key: "u" },
      { href: "/verdicts", label: "Verdicts", key: "v" },
      { href: "/season", label: "Season", key: "o" },
    ],
  },
  {
    name: "Before the next",
    short: "Before",
    places: [
      { href: "/bench", label: "Bench", key: "b" },
      { href: "/ready", label: "Ready", key: "k" },
      {
        href: "/next",
        label: "Next",
        key: "n",
        under: [
          { href: "/next/kits", label: "Kits", key: "j" },
          { href: "/next/shakedown", label: "Shakedown", key: "d" },
          { href: "/next/replay", label: "Your days", key: "y" },
        ],
      },
    ],
  },
  {
    name: "The log",
    short: "The log",
    places: [
      { href: "/", label: "Tally", key: "t" },
      {
        href: "/trips",
        label: "Trips",
        key: "r",
        under: [
          { href: "/trips/nights", label: "Nights", key: "i" },
          { href: "/trips/supplies", label: "Supplies", key: "f" },
          { href: "/trips/loads", label: "Loads", key: "a" },
        ],
      },
      {
        href: "/shelf",
        label: "Shelf",
        key: "s",
        under: [
          { href: "/shelf/weigh", label: "Weigh", key: "w" },
          { href: "/shelf/money", label: "Money", key: "m" },
          { href: "/shelf/wishes", label: "Wish list", key: "h" },
        ],
      },
      { href: "/settings", label: "Settings", key: "e" },
    ],
  },
];

const withUnder = (place: Place): readonly Place[] => [place, ...(place.under ?? [])];

/** Every page of the edge, those under another too. */
export const PLACES: readonly Place[] = GROUPS.flatMap(({ places }) => places.flatMap(withUnder));

/** The page of the edge that a path belongs to: the one whose address it begins with, the longest. */
export function placeOf(path: string): Place | undefined {
  if (path.startsWith("/item/")) return PLACES.find(({ href }) => href === "/");
  return PLACES.filter(({ href }) => path === href || (href !== "/" && path.startsWith(`${href}/`)))
    .sort((a, b) => b.href.length - a.href.length)
    .at(0);
}
