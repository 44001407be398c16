import { useFieldArray } from "react-hook-form";
import type { Part } from "@/core/track/join";
import { TERRAINS } from "@/core/model/lists";
import { Field, SelectField } from "@/ui/form/field";
import { LegDetails } from "./leg-details";
import { TrackReader, type Walk } from "./track/track-reader";
import { blankLeg, legsOf } from "./trip-form-values";
import type { PartOfTripForm } from "./when-fields";

/** How far: from tracks, or leg by leg. */
export function WayFields({ form, field, units }: PartOfTripForm) {
  const { control, setValue, watch } = form;
  const legs = useFieldArray({ control, name: "legs" });
  const fromTracks = (walk: Walk, parts: readonly Part[]) => {
    setValue("track", walk.track, { shouldDirty: true });
    legs.replace(legsOf(parts, units));
    const days = walk.byDay.flatMap(({ on }) => on ?? []);
    const [first, last] = [days[0], days.at(-1)];
    if (first && !watch("starts")) setValue("starts", first);
    if (last && !watch("ends")) setValue("ends", last);
    if (!watch("name")) setValue("name", walk.name);
  };
  const isOnly = legs.fields.length === 1;
  return (
    <fieldset>
      <legend className="mb-1 font-head text-lg font-bold">How far</legend>
      <TrackReader units={units} onRead={fromTracks} />
      {legs.fields.map(({ id }, n) => (
        <LegFields
          key={id}
          n={n}
          isOnly={isOnly}
          form={form}
          field={field}
          units={units}
          onRemove={() => legs.remove(n)}
        />
      ))}
      <button
        type="button"
        className="btn btn-plain mt-1"
        onClick={() => legs.append(blankLeg(watch("legs")))}
      >
        Another leg
      </button>
    </fieldset>
  );
}

interface LegFieldsProps extends PartOfTripForm {
  readonly n: number;
  readonly isOnly: boolean;
  readonly onRemove: () => void;
}

function LegFields({ n, isOnly, form, field, units, onRemove }: LegFieldsProps) {
  return (
    <div className="mt-3 grid grid-cols-2 items-start gap-3 sm:grid-cols-[2fr_1fr_1fr_1fr_4rem_auto]">
      <Field
        label={isOnly ? "Way" : `Leg ${n + 1}`}
        {...field(`legs.${n}.name`)}
        placeholder={isOnly ? "may stay blank" : ""}
      />
      <Field label="Distance" {...field(`legs.${n}.distance`)} placeholder={`62 ${units.distance}`} />
      <Field
        label="Ascent"
        {...field(`legs.${n}.ascent`)}
        placeholder={units.distance === "km" ? "850 m" : "2800 ft"}
      />
      <SelectField label="Ground" {...field(`legs.${n}.terrain`)} options={TERRAINS} />
      {!isOnly && (
        <>
          <Field label="Nights" inputMode="numeric" {...field(`legs.${n}.nights`)} />
          <button type="button" className="btn btn-plain self-end" onClick={onRemove}>
            Remove<span className="sr-only"> leg {n + 1}</span>
          </button>
          <LegDetails n={n} form={form} field={field} />
        </>
      )}
    </div>
  );
}
