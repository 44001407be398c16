import type { OwnLives } from "@/core/compare/own-lives";
import type { Settings } from "@/core/model";
import { wearNumber, wearUnitName } from "@/core/say/wear";
import type { Kind } from "@/core/trade/kind";

interface LivesSoFarProps {
  readonly lives: OwnLives;
  readonly kind: Kind;
  readonly settings: Settings;
  readonly onUse: (fit: { median: number; shape: number }) => void;
}

/** What the owner's own of a kind came to, and a press that takes that for the rule. */
export function LivesSoFar({ lives, kind, settings: { units }, onUse }: LivesSoFarProps) {
  const { wornOut, all, half, fit } = lives;
  const say = (wear: number) =>
    `${Math.round(wearNumber(wear, kind.wears, units))} ${wearUnitName(kind.wears, units)}`;
  return (
    <div className="mt-3 border-l-4 border-catkin-strong pl-4">
      <p>
        Your own so far: {all} of this kind, {wornOut} worn out.
        {half !== null && ` Half were over by ${say(half)}, those still going counted as such.`}
        {fit &&
          ` A curve of wear fitted to them: half last ${say(fit.median)}, shape ${fit.shape.toFixed(1)}.`}
        {!fit && " Two worn out at different wear are needed before their shape can be told."}
      </p>
      {fit && wornOut >= 3 && (
        <button type="button" className="btn mt-1" onClick={() => onUse(fit)}>
          Use mine
        </button>
      )}
    </div>
  );
}
