import type { ReactNode } from "react";
import { CommandPalette } from "@/ui/palette/command-palette";
import { KeptMarks } from "@/ui/marks/kept-marks";
import { Notices } from "@/ui/notice/notices";
import { Help } from "@/ui/help/help";
import { Navigation } from "@/ui/edge/navigation";
import { FollowLog } from "@/ui/follow/follow-log";
import { OtherTabs } from "@/ui/follow/other-tabs";
import { Page } from "@/ui/page/page-head";
import type { Item } from "@/core/model";
import { wordsForKind } from "@/core/trade/words/names";
import { readBook } from "../book";
import { waitsOf } from "../waits";

/** The notebook around each of its pages: its edge, and what finds any thing and trip by name. */
export default async function Notebook({ children }: { children: ReactNode }) {
  const { log, kit, at } = await readBook();
  // What is there is looked for before what is gone.
  const items = [...log.items.filter(isActive), ...log.items.filter((item) => !isActive(item))].map(
    ({ id, name, kind }) => ({ id, name, words: wordsForKind(kind) }),
  );
  const trips = log.trips
    .map(({ id, name, starts, planned }) => ({
      id,
      name,
      words: `trip ${starts.slice(0, 4)}${planned ? " planned" : ""}`,
    }))
    .reverse();
  return (
    <div className="pb-20 tabs:pb-0 tabs:pr-32 print:p-0!">
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3"
      >
        Skip to the page
      </a>
      <Page>{children}</Page>
      <Navigation waits={waitsOf(log, kit)} />
      <Help />
      <CommandPalette items={items} trips={trips} />
      <OtherTabs />
      <FollowLog at={at} />
      <KeptMarks items={items} />
      <Notices />
    </div>
  );
}

const isActive = ({ state }: Item) => state === "active";
