import type { Strength, Trigger } from "@/core/model";
import { OFFERS } from "@/core/model/lists";
import { daysBetween } from "@/core/sums/days";
import { listWords } from "@/core/units/speak";
import { AskWeather } from "./ask-weather";
import { Strengths } from "./strengths";
import type { TripValues } from "./trip-form-values";
import type { PartOfTripForm } from "./when-fields";

/** What a walker notices of a trip's weather and ground, in the order it is asked. */
export const ASKED: readonly Trigger[] = ["rain", "wind", "cold", "freezing", "heat", "sun", "bugs"];

/** From so many days on it is worth asking how many of them had it. */
const LONG_DAYS = 7;

const daysOfTyped = (starts: string, ends: string) => (starts && ends ? daysBetween(starts, ends) + 1 : 0);

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
  const {
    watch,
    setValue,
    formState: { errors },
  } = form;
  const isPlan = watch("planned");
  // On a short walk "some" and "strong" say enough; of one to come nobody knows the days.
  const days = daysOfTyped(watch("starts"), watch("ends"));
  const isCounted = (strength: Strength | undefined) =>
    !isPlan && days >= LONG_DAYS && (strength ?? "none") !== "none";
  const strengthOf = (trigger: Trigger) => (
    <div key={trigger}>
      <Strengths
        what={trigger}
        value={watch(`conditions.${trigger}`)}
        onChange={(strength) => setValue(`conditions.${trigger}`, strength, { shouldDirty: true })}
      />
      {isCounted(watch(`conditions.${trigger}`)) && (
        <label className="flex min-h-10 items-center justify-end gap-2 text-sm pointer-coarse:min-h-11">
          days with {trigger}
          <input
            className="field num !w-20"
            inputMode="numeric"
            placeholder="about"
            aria-invalid={errors.counted?.[trigger] ? true : undefined}
            {...form.register(`counted.${trigger}`)}
          />
        </label>
      )}
      {errors.counted?.[trigger]?.message && (
        <p className="error text-right">{errors.counted[trigger].message}</p>
      )}
    </div>
  );
  return (
    <fieldset>
      <legend className="mb-1 font-head text-lg font-bold">
        {isPlan ? "What it will be like" : "What it was like"}
      </legend>
      <p className="hint mb-2">
        {isPlan
          ? "It decides what is asked to go along. Leave out what nobody can say yet."
          : "It decides what counts as called for: rain gear on a dry trip is not held against it. Leave out what " +
            "you don’t remember."}
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
      <OfferFields form={form} opened={opened} isPlan={isPlan} />
    </fieldset>
  );
}

/** What the way offers, or offered. */
function OfferFields({
  form: { watch, setValue },
  opened,
  isPlan,
}: Pick<LikeFieldsProps, "form" | "opened"> & { readonly isPlan: boolean }) {
  return (
    <details className="mt-1" open={Object.keys(opened.offers).length > 0}>
      <summary className="py-1">
        {isPlan ? "What the way offers" : "What the way offered"}: beds, kitchens, taps, sockets
      </summary>
      <p className="hint mb-2">
        {isPlan
          ? "It takes jobs off the list: where there are kitchens, no stove is asked for."
          : "It takes jobs off the list: a stove unused where there were kitchens is not held against it."}
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
  );
}
