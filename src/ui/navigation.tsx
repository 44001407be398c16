"use client";

import {
  ClipboardCheck,
  Compass,
  Footprints,
  Hammer,
  Gavel,
  Map,
  Package,
  Settings,
  Table2,
} from "lucide-react";
import Link from "next/link";
import { usePathname, useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import { isTyping } from "./is-typing";

/** The tabs of the notebook; `key` follows `g`. */
export const PLACES = [
  { href: "/", label: "Tally", key: "t", icon: Table2 },
  { href: "/trail", label: "Trail", key: "l", icon: Footprints },
  { href: "/unpack", label: "Unpack", key: "u", icon: ClipboardCheck },
  { href: "/verdicts", label: "Verdicts", key: "v", icon: Gavel },
  { href: "/bench", label: "Bench", key: "b", icon: Hammer },
  { href: "/next", label: "Next", key: "n", icon: Compass },
  { href: "/trips", label: "Trips", key: "r", icon: Map },
  { href: "/shelf", label: "Shelf", key: "s", icon: Package },
  { href: "/settings", label: "Settings", key: "e", icon: Settings },
] as const;

/** Pages that stand under a tab that their path does not tell. */
const BESIDE: Readonly<Record<string, (typeof PLACES)[number]["href"]>> = {
  "/season": "/trips",
  "/ready": "/bench",
};

/** How long after `g` its letter may come. */
const CHORD_MS = 1200;

export function Navigation({ verdicts, unmarked }: { verdicts: number; unmarked: number }) {
  const path = usePathname();
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
  const counts: Partial<Record<string, { n: number; what: string }>> = {
    "/verdicts": { n: verdicts, what: "to act on" },
    "/unpack": { n: unmarked, what: "not marked yet" },
  };
  return (
    <nav
      aria-label="Pages"
      className="fixed inset-x-0 bottom-0 z-30 flex border-t border-rule-strong bg-paper tabs:inset-x-auto tabs:bottom-auto tabs:right-0 tabs:top-14 tabs:w-28 tabs:flex-col tabs:gap-1.5 tabs:border-0 tabs:bg-transparent"
    >
      {PLACES.map(({ href, label, icon: Icon }) => {
        const here =
          href === "/"
            ? path === "/" || path.startsWith("/item")
            : path.startsWith(href) || (BESIDE[path] as string | undefined) === href;
        const count = counts[href];
        return (
          <Link
            key={href}
            href={href}
            prefetch={false}
            aria-current={here ? "page" : undefined}
            className={`relative flex min-h-13 flex-1 flex-col items-center justify-center gap-0.5 px-1 text-xs font-semibold tabs:min-h-10 tabs:flex-none tabs:flex-row tabs:justify-start tabs:rounded-l-md tabs:px-3 tabs:text-[0.95rem] ${
              here
                ? "bg-leaf text-on-leaf tabs:ml-0"
                : "text-ink tabs:ml-2.5 tabs:bg-catkin tabs:hover:ml-1.5"
            }`}
          >
            <Icon aria-hidden="true" className="size-5 tabs:hidden" />
            {label}
            {count && count.n > 0 && (
              <span
                className={`num absolute right-1 top-0.5 text-xs font-bold tabs:static tabs:ml-auto ${here ? "" : "text-sting"}`}
              >
                {count.n}
                <span className="sr-only"> {count.what}</span>
              </span>
            )}
          </Link>
        );
      })}
    </nav>
  );
}
