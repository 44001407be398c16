import { wasCalled } from "@/core/evidence/chances";
import type { FullItem } from "@/core/kinds";
import type { Carried, Marked } from "@/core/ledger/book";
import type { Trouble } from "@/core/model";
import type { StrokeCode } from "./stroke";

const TROUBLED: Record<Trouble, StrokeCode> = {
  nuisance: "y",
  damaged: "d",
  failed: "f",
  lost: "l",
  "given away": "g",
  "sent home": "s",
  "worn out": "w",
  "thrown out": "t",
};

/** The stroke for what happened to an item on one trip. */
export function strokeOf(one: Carried, item: FullItem): StrokeCode {
  const { mark } = one;
  if (!mark) return "p";
  if (mark.trouble && !(mark.trouble === "nuisance" && mark.use === "unused")) return TROUBLED[mark.trouble];
  if (mark.use !== "unused") return mark.use === "used" ? "u" : "h";
  if (item.cover) return "c";
  return wasCalled(one as Marked, item) ? "n" : "o";
}
