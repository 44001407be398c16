import Link from "next/link";
import type { Doubt } from "@/core/shakedown/doubts";
import { sayDoubt, sayWants } from "@/core/shakedown/words";
import { trialOf } from "@/core/trade/trials";
import { percent, type Units } from "@/core/units/speak";
import { itemPath } from "@/ui/paths";
import { Held } from "./doing";

interface DoubtLineProps {
  readonly doubt: Doubt;
  /** How likely the outing that is proposed settles it, 0 to 1; null: none is. */
  readonly chance: number | null;
  readonly units: Units;
}

/** One thing in doubt: why, what would settle it and how likely it does, how to tell. */
export function DoubtLine({ doubt, chance, units }: DoubtLineProps) {
  const { item, why } = doubt;
  // Nights and loads tell of themselves once the outing is debriefed.
  const isToldByDebrief = why.is === "cold bed" || why.is === "heavier than ever";
  return (
    <li className="border-b border-rule py-2">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <Link prefetch={false} href={itemPath(item.id)} className="font-semibold hover:underline">
          {item.name}
        </Link>
        <span className="text-sm text-muted">
          {sayWants(doubt, units)}
          {chance !== null && `: ${percent(chance)}`}
        </span>
      </div>
      <p>{sayDoubt(doubt, units)}</p>
      <p className="text-sm text-muted">{trialOf(item.jobs).how}</p>
      <div className="no-print mt-1">
        {isToldByDebrief ? (
          <p className="hint">The outing’s own debrief tells: its nights, and what the bag weighed.</p>
        ) : (
          <Held item={item.id} name={item.name} />
        )}
      </div>
    </li>
  );
}
