import { daysBetween } from "../ledger/days";
import type { Book } from "../ledger/book";
import type { Advice } from "../advice/advise";
import type { Kit } from "../advice/kit";
import type { FullItem } from "../trade/full-item";

/** What has to be looked at before going out, and why. */
interface ReadyCheck {
  readonly item: FullItem;
  readonly look: string;
  /** Why now: from store, a date near, mended since, a look each season. */
  readonly why: "store" | "date" | "mended" | "used up" | "season";
  /** The day of the last look; null: none is logged. */
  readonly last: string | null;
  /** Looked at since the last trip. */
  readonly done: boolean;
}

export interface Ready {
  /** Days since the last trip; null where there was none. */
  readonly stored: number | null;
  /** It was so long that store may have spoilt what it can. */
  readonly afterStore: boolean;
  readonly checks: readonly ReadyCheck[];
  /** What somebody else has, and what is somebody else's. */
  readonly away: readonly FullItem[];
  readonly borrowed: readonly FullItem[];
}

/** A rest from so many days on can spoil what store can spoil. Common practice, no source. */
const STORED_DAYS = 100;
/** A date is read where it falls within so many days. */
const DATE_NEAR = 180;

/** What each kind is looked at for; the kinds of a thing that store can spoil first. Common practice, no source. */
const LOOKS: readonly {
  readonly look: string;
  readonly kinds: readonly string[];
  readonly store?: boolean;
}[] = [
  { look: "Blow it up hard, and leave it overnight", kinds: ["inflatable pad", "pillow"], store: true },
  { look: "Set it up; look over seams, zip, poles and cords", kinds: ["tent", "tarp"], store: true },
  { look: "Soak it half an hour, flush it, and try a litre", kinds: ["filter"], store: true },
  {
    look: "Charge it, and see that it works",
    kinds: ["head torch", "spare light", "power bank", "camera", "phone"],
    store: true,
  },
  {
    look: "Charge it, send the test message, look at its registration and plan",
    kinds: ["beacon"],
    store: true,
  },
  {
    look: "Water stands in beads on it, or it is reproofed",
    kinds: ["rain shell", "rain trousers", "light rain shell", "pack cover"],
    store: true,
  },
  { look: "Air it, and feel its loft", kinds: ["quilt", "sleeping bag", "insulated jacket"], store: true },
  { look: "Feel cords, buckles, seams and mesh", kinds: ["pack"], store: true },
  {
    look: "Refill it, and read the dates",
    kinds: [
      "first-aid kit",
      "repair kit",
      "wash kit",
      "medicines",
      "treatment tablets",
      "sunscreen",
      "sanitiser",
      "insect repellent",
    ],
    store: true,
  },
  { look: "Light it outdoors; smell and listen at the joint", kinds: ["stove"], store: true },
  { look: "Strike it, and see that it is not near empty", kinds: ["lighter", "matches"], store: true },
  { look: "Weigh it, and note what is left", kinds: ["fuel"] },
  { look: "Count them; straighten what is bent", kinds: ["stakes"] },
  { look: "Look at tread and uppers, and grade them", kinds: ["trail shoes", "boots"] },
  { look: "Tighten the locks, look at the tips", kinds: ["poles"] },
  { look: "The sheets for this trip; maps on the phone loaded", kinds: ["map and compass"] },
  { look: "Wash it out; nothing grows in it", kinds: ["water bottle", "water bag"], store: true },
];

/** What to look at before the season, or before the next trip: from what is owned, and what it went through. */
export function readyFor({ book, things }: Kit): Ready {
  const last = book.outings.at(-1)?.trip.ends ?? null;
  const stored = last === null ? null : daysBetween(last, book.today);
  const afterStore = stored !== null && stored >= STORED_DAYS;
  const checks = things
    // What is to be replaced is no more looked at: a look does not make a frozen filter sound.
    .filter(
      ({ case: { standing }, asks }) => standing === "active" && !asks.some(({ verb }) => verb === "replace"),
    )
    .flatMap((advice) => checkOf(advice, book, { last, afterStore }) ?? [])
    .sort((a, b) => Number(a.done) - Number(b.done) || WHYS.indexOf(a.why) - WHYS.indexOf(b.why));
  const here = book.items.filter(({ state }) => state === "active");
  return {
    stored,
    afterStore,
    checks,
    away: here.filter(({ lentTo }) => lentTo !== null),
    borrowed: here.filter(({ owner }) => owner !== null),
  };
}

const WHYS: readonly ReadyCheck["why"][] = ["store", "mended", "date", "used up", "season"];
const LOOKED: readonly string[] = ["check", "service", "restock", "wash", "repair", "trial"];

function checkOf(
  { case: { item, history, kind } }: Advice,
  book: Book,
  { last, afterStore }: { readonly last: string | null; readonly afterStore: boolean },
): ReadyCheck | null {
  const look = LOOKS.find(({ kinds }) => kinds.includes(item.kind));
  const seen = book.entriesOf(item.id).findLast(({ what }) => LOOKED.includes(what))?.on ?? null;
  const mended = history.lastMended !== null && history.lastMended > (last ?? "");
  const near = item.expires !== null && daysBetween(book.today, item.expires) <= DATE_NEAR;
  const why =
    afterStore && look?.store
      ? "store"
      : mended
        ? "mended"
        : near
          ? "date"
          : kind.contents
            ? "used up"
            : look
              ? "season"
              : null;
  if (why === null) return null;
  return {
    item,
    look: why === "mended" && !look ? "Try what was mended" : (look?.look ?? "Read its date"),
    why,
    last: seen,
    done: seen !== null && last !== null && seen > last,
  };
}
