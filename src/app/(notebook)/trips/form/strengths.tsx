import type { Offer, Strength, Trigger } from "@/core/model";

/** None, some or strong; pressed again, nothing is said. */
export function Strengths({
  what,
  group = `condition-${what}`,
  value,
  onChange,
}: {
  what: Trigger | Offer;
  /** What tells its buttons from those of the same question asked elsewhere. */
  group?: string;
  value: Strength | undefined;
  onChange: (strength: Strength | undefined) => void;
}) {
  return (
    <div role="radiogroup" aria-label={what} className="flex items-center border-b border-rule py-0.5">
      <span className="flex-1">{what}</span>
      {(["none", "some", "strong"] as const).map((strength) => (
        <label
          key={strength}
          className={`flex min-h-9 min-w-16 cursor-pointer items-center justify-center border px-2 text-sm has-focus-visible:outline-2 has-focus-visible:outline-stem pointer-coarse:min-h-11 ${value === strength ? "border-leaf bg-leaf font-semibold text-on-leaf" : "border-rule bg-sheet text-muted"}`}
        >
          <input
            type="radio"
            name={group}
            className="sr-only"
            checked={value === strength}
            onChange={() => onChange(strength)}
            onClick={() => value === strength && onChange(undefined)}
          />
          {strength}
        </label>
      ))}
    </div>
  );
}
