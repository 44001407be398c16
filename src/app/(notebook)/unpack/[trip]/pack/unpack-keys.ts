import type { Use } from "@/core/model";
import type { Panel } from "../panel/panel-questions";
import type { Act, Unpacking } from "./unpacking";

const USE_KEYS: Readonly<Record<string, Use>> = { u: "used", h: "hardly", n: "unused" };
const PANEL_KEYS: Readonly<Record<string, Panel>> = {
  t: "trouble",
  x: "complaint",
  w: "why",
  c: "call",
  e: "exit",
  q: "amount",
  k: "frost",
  Enter: "note",
};

/** What a key opens that is no part of the marks. */
export type Opens = "on the way" | "questions";
const OPENS: Readonly<Record<string, Opens>> = { b: "on the way", a: "questions" };

/** What a key does to the thing in hand; null: nothing, the key is somebody else's. */
export function actOfKey(key: string, { focus, panel }: Unpacking): Act | Opens | null {
  const use = USE_KEYS[key];
  const kind = PANEL_KEYS[key];
  if (use) return { do: "use", item: focus, use, byKey: true };
  if (kind) return { do: "panel", item: focus, kind };
  if (OPENS[key]) return OPENS[key];
  if (/^[0-5]$/.test(key) && panel === null)
    return { do: "say", item: focus, more: { condition: Number(key) } };
  switch (key) {
    case "U":
      return { do: "rest used" };
    case "f":
      return { do: "fail", item: focus };
    case "z":
      return { do: "undo" };
    case "Escape":
      return panel && { do: "panel", item: focus, kind: null };
    case "ArrowDown":
      return { do: "step", by: 1 };
    case "ArrowUp":
      return { do: "step", by: -1 };
    case "ArrowRight":
      return { do: "step pocket", by: 1 };
    case "ArrowLeft":
      return { do: "step pocket", by: -1 };
    default:
      return null;
  }
}
