import { KINDS } from "@/core/trade/kinds";
import { whenServiced } from "@/core/say/services";
import type { Kind, ServiceRule } from "@/core/trade/kind";
import { METRES_PER_MILE } from "@/core/units/quantity";

/** docs/kinds.md: every kind with what it brings, for whoever writes a file by hand or doubts a number. */
export function kindsPage(): string {
  const rows = KINDS.map((kind) => [
    kind.id,
    kind.jobs.join(", "),
    kind.triggers.join(", "),
    kind.consequence + (kind.cover ? ", cover" : ""),
    wearOf(kind),
    kind.services.map((rule) => serviceOf(rule, kind)).join("; "),
    kind.readings.map(({ what, unit, limit }) => `${what} ${limit} ${unit}`).join("; "),
  ]);
  return [
    "# Kinds, and what each brings",
    "",
    "Written from `src/core/kinds.ts` by `node scripts/run.mjs scripts/write-docs.ts`; a test holds it to that. Lives, shapes, services and limits are common practice, no source, and each owner may change them in Settings. An item may say otherwise of itself: its jobs, what calls for it, what its absence costs.",
    "",
    "| kind | jobs | called for by | its absence is | wears by: median life, shape | services | done at |",
    "|---|---|---|---|---|---|---|",
    ...rows.map((cells) => `| ${cells.join(" | ")} |`),
    "",
  ].join("\n");
}

const amount = (wear: number, { wears }: Kind) =>
  wears === "m" ? `${Math.round(wear / METRES_PER_MILE)} mi` : `${wear} ${wears}`;

function wearOf(kind: Kind): string {
  const unit = kind.wears === "m" ? `distance${kind.terrain ? ", by ground" : ""}` : kind.wears;
  const life = kind.life ? `: ${amount(kind.life.median, kind)}, ${kind.life.k}` : "";
  return (
    (kind.wears === "none" ? "" : unit) +
    life +
    (kind.ageDays === null ? "" : `: replaced after ${kind.ageDays} days`)
  );
}

function serviceOf(rule: ServiceRule, kind: Kind): string {
  const { what, every } = rule;
  return `${what} (${[...(every === undefined ? [] : [`every ${amount(every, kind)}`]), ...whenServiced(rule)].join(", ")})`;
}
