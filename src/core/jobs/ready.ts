import { daysBetween } from "../sums/days";
import type { Book } from "../ledger/book";
import type { Advice } from "../advice/advise";
import type { Kit } from "../advice/kit";
import type { FullItem } from "../trade/full-item";
import { STORED_DAYS } from "../trade/kind";

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

/** A date is read where it falls within so many days. */
const DATE_NEAR = 180;

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
  const { look } = kind;
  const seen = book.entriesOf(item.id).findLast(({ what }) => LOOKED.includes(what))?.on ?? null;
  const mended = history.lastMended !== null && history.lastMended > (last ?? "");
  const near = item.expires !== null && daysBetween(book.today, item.expires) <= DATE_NEAR;
  // The first that holds is why.
  const whys: readonly (readonly [ReadyCheck["why"], boolean | undefined])[] = [
    ["store", afterStore && look?.store],
    ["mended", mended],
    ["date", near],
    ["used up", kind.contents],
    ["season", look !== null],
  ];
  const why = whys.find(([, holds]) => holds)?.[0];
  if (!why) return null;
  return {
    item,
    look: why === "mended" && !look ? "Try what was mended" : (look?.what ?? "Read its date"),
    why,
    last: seen,
    done: seen !== null && last !== null && seen > last,
  };
}
