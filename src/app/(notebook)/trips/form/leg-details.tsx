import { useState } from "react";
import { Field } from "@/ui/form/field";
import { ASKED } from "./like-fields";
import { Strengths } from "./strengths";
import type { PartOfTripForm } from "./when-fields";

/** What a leg of its own offers: where food is bought, and what one sleeps in. */
const OFFERED = ["shops", "beds"] as const;

interface LegDetailsProps extends Omit<PartOfTripForm, "units"> {
  readonly n: number;
}

/** A leg's own days and weather, folded away: where they are not said, they are the trip's. */
export function LegDetails({ n, form, field }: LegDetailsProps) {
  const [starts, ends] = [field(`legs.${n}.starts`), field(`legs.${n}.ends`)];
  const [open, setOpen] = useState(false);
  return (
    <details
      className="col-span-full -mt-2"
      open={open || Boolean(starts.error ?? ends.error)}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="py-1 text-sm">
        Days, weather, shops and huts of leg {n + 1}, where they differ
      </summary>
      <div className="grid max-w-md grid-cols-2 gap-3">
        <Field label="From" type="date" {...starts} />
        <Field label="To" type="date" {...ends} />
      </div>
      <div className="mt-2 grid gap-x-8 gap-y-1 sm:grid-cols-2">
        {ASKED.map((trigger) => (
          <Strengths
            key={trigger}
            what={trigger}
            group={`leg-${n}-${trigger}`}
            value={form.watch(`legs.${n}.conditions.${trigger}`)}
            onChange={(strength) =>
              form.setValue(`legs.${n}.conditions.${trigger}`, strength, { shouldDirty: true })
            }
          />
        ))}
        {OFFERED.map((offer) => (
          <Strengths
            key={offer}
            what={offer}
            group={`leg-${n}-${offer}`}
            value={form.watch(`legs.${n}.offers.${offer}`)}
            onChange={(strength) =>
              form.setValue(`legs.${n}.offers.${offer}`, strength, { shouldDirty: true })
            }
          />
        ))}
      </div>
      <p className="hint">A shop is taken to stand at the leg&rsquo;s end: food is carried to there.</p>
    </details>
  );
}
