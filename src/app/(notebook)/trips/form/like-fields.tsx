import type { Trigger } from "@/core/model";
import { OFFERS } from "@/core/model/lists";
import { listWords } from "@/core/units/speak";
import { AskWeather } from "./ask-weather";
import { Strengths } from "./strengths";
import type { TripValues } from "./trip-form-values";
import type { PartOfTripForm } from "./when-fields";

/** What a walker notices of a trip's weather and ground, in the order it is asked. */
export const ASKED: readonly Trigger[] = ["rain", "wind", "cold", "freezing", "heat", "sun", "bugs"];

/** What few trips have: asked under a fold. */
const SELDOM: readonly Trigger[] = [
  "ticks",
  "snow or ice",
  "crossings",
  "dry stretch",
  "condensation",
  "no signal",
  "town",
];

interface LikeFieldsProps extends Omit<PartOfTripForm, "field"> {
  readonly places: readonly string[];
  /** What the form was opened with: a fold that holds some of it is open. */
  readonly opened: TripValues;
}

/** What it was like, and what the way offered. */
export function LikeFields({ form, units, places, opened }: LikeFieldsProps) {
  const { watch, setValue } = form;
  const strengthOf = (trigger: Trigger) => (
    <Strengths
      key={trigger}
      what={trigger}
      value={watch(`conditions.${trigger}`)}
      onChange={(strength) => setValue(`conditions.${trigger}`, strength, { shouldDirty: true })}
    />
  );
  return (
    <fieldset>
      <legend className="mb-1 font-head text-lg font-bold">What it was like</legend>
      <p className="hint mb-2">
        It decides what counts as called for: rain gear on a dry trip is not held against it. Leave out what
        you don&rsquo;t remember.
      </p>
      <AskWeather
        places={places}
        starts={watch("starts")}
        ends={watch("ends")}
        units={units}
        onTold={(conditions) =>
          setValue("conditions", { ...watch("conditions"), ...conditions }, { shouldDirty: true })
        }
      />
      <div className="grid gap-x-8 gap-y-1 sm:grid-cols-2">{ASKED.map(strengthOf)}</div>
      <details className="mt-3" open={SELDOM.some((trigger) => opened.conditions[trigger])}>
        <summary className="py-1">What few trips have: {listWords(SELDOM, "or")}</summary>
        <div className="grid gap-x-8 gap-y-1 sm:grid-cols-2">{SELDOM.map(strengthOf)}</div>
      </details>
      <details className="mt-1" open={Object.keys(opened.offers).length > 0}>
        <summary className="py-1">What the way offered: beds, kitchens, taps, sockets</summary>
        <p className="hint mb-2">
          It takes jobs off the list: a stove unused where there were kitchens is not held against it.
        </p>
        <div className="grid gap-x-8 gap-y-1 sm:grid-cols-2">
          {OFFERS.map((offer) => (
            <Strengths
              key={offer}
              what={offer}
              value={watch(`offers.${offer}`)}
              onChange={(strength) => setValue(`offers.${offer}`, strength, { shouldDirty: true })}
            />
          ))}
        </div>
      </details>
    </fieldset>
  );
}
