import "@fontsource-variable/atkinson-hyperlegible-mono";
import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/bricolage-grotesque";
import "./globals.css";
import type { Metadata, Viewport } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { Toaster } from "sonner";
import { CommandPalette } from "@/ui/command-palette";
import { KeptMarks } from "@/ui/kept-marks";
import { Navigation } from "@/ui/navigation";
import { OtherTabs } from "@/ui/other-tabs";
import { pressingCount, readBook } from "./book";

export const metadata: Metadata = {
  title: { default: "Nettle Tally", template: "%s · Nettle Tally" },
  description: "What earned its place in the pack, and what to drop, repair or replace.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1 };
export const dynamic = "force-dynamic";

export default async function Layout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get("theme")?.value;
  const { log, judgements, toAdd } = await readBook();
  const unmarked = log.trips
    .filter((trip) => !trip.planned)
    .flatMap((trip) => trip.carries)
    .filter((carry) => carry.mark === null).length;
  const items = log.items.map(({ id, name }) => ({ id, name }));
  return (
    <html lang="en" data-theme={theme === "dark" || theme === "light" ? theme : undefined}>
      <body className="pb-20 tabs:pb-0 tabs:pr-32">
        <a
          href="#main"
          className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3"
        >
          Skip to the page
        </a>
        <main id="main" className="mx-auto max-w-[76rem] px-4 py-5 tabs:px-7">
          {children}
        </main>
        <Navigation verdicts={pressingCount(judgements, toAdd)} unmarked={unmarked} />
        <CommandPalette items={items} trips={log.trips.map(({ id, name }) => ({ id, name })).reverse()} />
        <OtherTabs />
        <KeptMarks items={items} />
        <Toaster
          position="bottom-center"
          offset={88}
          toastOptions={{ className: "!bg-ink !text-paper !border-ink !rounded !font-sans" }}
        />
      </body>
    </html>
  );
}
