import { wasCalled } from "@/core/ledger/called";
import type { Carried, Marked } from "@/core/ledger/book";
import type { ExitHow } from "@/core/model";
import type { FullItem } from "@/core/trade/full-item";
import type { StrokeCode } from "./stroke";

const LEFT: Record<ExitHow, StrokeCode> = {
  lost: "l",
  "given away": "g",
  "sent home": "s",
  "posted ahead": "a",
  "worn out": "w",
  "thrown out": "t",
  swapped: "x",
};

/** The stroke for what happened to an item on one trip: how it left, else what went wrong, else its use. */
export function strokeOf(one: Carried, item: FullItem): StrokeCode {
  const { mark } = one;
  if (!mark) return "p";
  if (mark.exit && mark.exit.how !== "posted ahead") return LEFT[mark.exit.how];
  if (mark.troubles.includes("failed")) return "f";
  if (mark.troubles.includes("damaged")) return "d";
  if (mark.use !== "unused" && (mark.troubles.length > 0 || mark.complaints.length > 0)) return "y";
  if (mark.exit) return LEFT[mark.exit.how];
  if (mark.use !== "unused") return mark.use === "used" ? "u" : "h";
  if (item.cover) return "c";
  return wasCalled(one as Marked, item) ? "n" : "o";
}
