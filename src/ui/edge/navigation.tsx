"use client";

import { BookOpen, Compass, Footprints, House, Search } from "lucide-react";
import Link from "next/link";
import { usePathname, useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import { isTyping } from "../is-typing";
import { askForPalette } from "../palette/ask";
import { GROUPS, PLACES, placeOf, type Place, type PlaceGroup } from "./places";

/** What waits on a page, by its address: how many, and of what. */
export type Waits = Readonly<
  Record<string, { readonly n: number; readonly what: string; readonly isQuiet?: boolean }>
>;

const ICONS = [Footprints, House, Compass, BookOpen];

/** The edge of the notebook: at the desk all pages by their moments, on a phone a button for each moment. */
export function Navigation({ waits }: { waits: Waits }) {
  const here = placeOf(usePathname());
  useChords();
  return (
    <nav aria-label="Pages">
      <div className={EDGE}>
        {GROUPS.map((group) => (
          <section key={group.name} aria-label={group.name}>
            <h2 className="pb-0.5 pl-3 font-sans text-xs font-semibold text-muted">{group.name}</h2>
            <ul className="space-y-1">
              {group.places.map((place) => (
                <Tab key={place.href} place={place} here={here} waits={waits} />
              ))}
            </ul>
          </section>
        ))}
      </div>
      <div className={BAR}>
        {GROUPS.map((group, n) => (
          <MomentButton key={group.name} group={group} n={n} here={here} waits={waits} />
        ))}
        <button type="button" className={MOMENT} onClick={askForPalette}>
          <Search aria-hidden="true" className="size-5" />
          Find
        </button>
      </div>
    </nav>
  );
}

const EDGE = "fixed right-0 top-6 z-30 hidden w-28 space-y-2.5 tabs:block print:hidden";
const BAR =
  "fixed inset-x-0 bottom-0 z-30 flex border-t border-rule-strong bg-paper tabs:hidden print:hidden";
const MOMENT =
  "relative flex min-h-13 min-w-11 flex-1 flex-col items-center justify-center gap-0.5 px-0.5 text-xs font-semibold";

interface TabProps {
  readonly place: Place;
  readonly here: Place | undefined;
  readonly waits: Waits;
}

const isAt = (place: Place, here: Place | undefined) =>
  here === place || Boolean(place.under?.includes(here!));

/** A page at the notebook's edge; what stands under it unfolds where one is there. */
function Tab({ place, here, waits }: TabProps) {
  const open = isAt(place, here);
  return (
    <li>
      <Link
        href={place.href}
        prefetch={false}
        aria-current={here === place ? "page" : undefined}
        className={`${TAB} ${open ? "bg-leaf text-on-leaf" : "ml-2.5 bg-catkin text-ink hover:ml-1.5"}`}
      >
        {place.label}
        <Waiting wait={waits[place.href]} className={open ? "" : "text-sting"} />
      </Link>
      {open && place.under && (
        <ul>
          {place.under.map((under) => (
            <li key={under.href}>
              <Link
                href={under.href}
                prefetch={false}
                aria-current={here === under ? "page" : undefined}
                className={`block min-h-7 pl-5 text-sm leading-7 hover:underline ${here === under ? "font-bold" : ""}`}
              >
                {under.label}
              </Link>
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

const TAB = "flex min-h-9 items-center rounded-l-md px-3 text-[0.95rem] font-semibold";

function Waiting({ wait, className }: { wait: Waits[string] | undefined; className: string }) {
  if (!wait || wait.n === 0) return null;
  return (
    <span className={`num ml-auto pl-2 text-xs ${wait.isQuiet ? "" : `font-bold ${className}`}`}>
      {wait.n}
      {wait.isQuiet && "\u00a0d"}
      <span className="sr-only"> {wait.what}</span>
    </span>
  );
}

interface MomentProps extends Omit<TabProps, "place"> {
  readonly group: PlaceGroup;
  readonly n: number;
}

/** A moment on a phone: its one page, or what opens the list of them. */
function MomentButton({ group, n, here, waits }: MomentProps) {
  const Icon = ICONS[n]!;
  const [only, ...more] = group.places;
  const isHere = group.places.some((place) => isAt(place, here));
  const look = `${MOMENT} ${isHere ? "bg-leaf text-on-leaf" : ""}`;
  const sum = group.places.reduce(
    (all, { href }) => all + (COUNTED.has(href) ? (waits[href]?.n ?? 0) : 0),
    0,
  );
  const face = (
    <>
      <Icon aria-hidden="true" className="size-5" />
      {group.short}
      {sum > 0 && (
        <span className={`num absolute right-1 top-0.5 text-xs font-bold ${isHere ? "" : "text-sting"}`}>
          {sum}
          <span className="sr-only"> waiting</span>
        </span>
      )}
    </>
  );
  if (only && more.length === 0)
    return (
      <Link
        href={only.href}
        prefetch={false}
        aria-current={here === only ? "page" : undefined}
        className={look}
      >
        {face}
      </Link>
    );
  const id = `pages-${n}`;
  return (
    <>
      <button type="button" popoverTarget={id} className={look}>
        {face}
      </button>
      <div id={id} popover="auto" className={SHEET} aria-label={group.name}>
        <ul>
          {group.places.flatMap((place) => [
            <SheetLine key={place.href} place={place} here={here} waits={waits} />,
            ...(place.under ?? []).map((under) => (
              <SheetLine key={under.href} place={under} here={here} waits={waits} isUnder />
            )),
          ])}
        </ul>
      </div>
    </>
  );
}

/** What is a number of things to do; days to go are none. */
const COUNTED: ReadonlySet<string> = new Set(["/unpack", "/verdicts", "/bench", "/trail"]);

const SHEET =
  "fixed inset-x-0 top-auto bottom-13 m-0 w-full border-0 border-t-2 border-ink bg-sheet p-0 text-ink shadow-xl";

function SheetLine({ place, here, waits, isUnder = false }: TabProps & { readonly isUnder?: boolean }) {
  return (
    <li className="border-b border-rule">
      <Link
        href={place.href}
        prefetch={false}
        aria-current={here === place ? "page" : undefined}
        onClick={(event) => event.currentTarget.closest<HTMLElement>("[popover]")?.hidePopover()}
        className={`flex min-h-12 items-center px-4 ${isUnder ? "pl-8 text-sm" : "font-semibold"} ${here === place ? "bg-leaf-soft" : ""}`}
      >
        {place.label}
        <Waiting wait={waits[place.href]} className="text-sting" />
      </Link>
    </li>
  );
}

/** How long after `g` its letter may come. */
const CHORD_MS = 1200;

/** `g` and a letter go to a page. */
function useChords() {
  const router = useRouter();
  // When g was pressed last: not at the start of the page's clock, or its first second would take letters for places.
  const chord = useRef(-Infinity);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.timeStamp - chord.current < CHORD_MS) {
        const place = PLACES.find((each) => each.key === event.key);
        chord.current = -Infinity;
        if (place) {
          event.preventDefault();
          event.stopImmediatePropagation();
          router.push(place.href);
        }
      } else if (event.key === "g") {
        chord.current = event.timeStamp;
      }
    };
    // In the capture phase, so that the letter after g is not taken for a mark.
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  }, [router]);
}
