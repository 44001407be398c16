import type { Column } from "@/core/plan/columns";

/** What each column is called, and what it is about. */
export const COLUMN_WORDS: Readonly<
  Record<Column, { readonly title: string; readonly about: string; readonly look: string }>
> = {
  "not ready": {
    title: "Not ready",
    about: "goes along, and wants something done first",
    look: "border-sting",
  },
  take: { title: "Take", about: "", look: "border-leaf" },
  "take if": { title: "Take if", about: "it is expected", look: "border-catkin-strong" },
  leave: { title: "Leave", about: "", look: "border-ink" },
};
