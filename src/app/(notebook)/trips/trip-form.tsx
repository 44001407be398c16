"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { useFieldArray } from "react-hook-form";
import { Offer, Terrain, type ItemId, type Trigger, type TripId } from "@/core/model";
import { listWords, type Units } from "@/core/units/speak";
import type { Part } from "@/core/track/join";
import type { Answer } from "@/ui/answer";
import { Field, SelectField, TextField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { useDoing } from "@/ui/use-doing";
import { tripPath, unpackPath } from "@/ui/paths";
import { useAnsweredForm } from "@/ui/use-answered-form";
import { forgetDraft, useDraft } from "@/ui/use-draft";
import { deleteTrip, saveTrip } from "./actions";
import { AskWeather } from "./ask-weather";
import { LegDetails } from "./leg-details";
import { Packing } from "./packing";
import type { Seen } from "./seen";
import { Strengths } from "./strengths";
import { TrackReader, type Walk } from "./track-reader";
import { blankLeg, legsOf, toPacked, toTrip, type Packable, type TripValues } from "./trip-form-values";

/** What a walker notices of a trip's weather and ground, in the order it is asked. */
const ASKED: readonly Trigger[] = ["rain", "wind", "cold", "freezing", "heat", "sun", "bugs"];

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

/** Where a new trip is kept in the browser while it is typed. */
const DRAFT = "nettle-new-trip";

interface TripFormProps {
  readonly id?: TripId;
  /** The trip as it was when the form was opened; left out for a new one. */
  readonly seen?: Seen;
  readonly values: TripValues;
  readonly shelf: readonly Packable[];
  /** The last trip's list, to start from. */
  readonly last: { readonly name: string; readonly items: readonly ItemId[] } | null;
  readonly units: Units;
  /** Where the weather desk knows the weather of. */
  readonly places: readonly string[];
}

/** What the record keeps together stands in the form as fields of their own. */
const byFormField = (answer: Answer<TripId>): Answer<TripId> =>
  answer.ok
    ? answer
    : {
        ...answer,
        fields: Object.fromEntries(
          Object.entries(answer.fields).map(([path, message]) => [path.replace(/^foreseen\./, ""), message]),
        ),
      };

export function TripForm({ id, seen, values, shelf, last, units, places }: TripFormProps) {
  const router = useRouter();
  const { form, ask, submit, busy, wrong } = useAnsweredForm<TripValues, TripId>(
    values,
    async (typed, sure) =>
      byFormField(await saveTrip(toTrip(id, typed, units), toPacked(typed), typed.track, sure, seen)),
    (saved, { getValues }) => {
      forgetDraft(DRAFT);
      tellOtherTabs();
      const isPlan = getValues("planned");
      router.push(
        isPlan ? `/next?${new URLSearchParams({ trip: saved })}` : id ? tripPath(saved) : unpackPath(saved),
      );
      router.refresh();
    },
  );
  // A trip that is in the log already is changed there; only a new one is kept while it is typed.
  const draft = useDraft(id ? null : DRAFT, form);
  const {
    register,
    setValue,
    watch,
    control,
    formState: { errors },
  } = form;
  const legs = useFieldArray({ control, name: "legs" });
  const error = (path: string) =>
    path
      .split(".")
      .reduce<unknown>((at, step) => (at as Record<string, unknown> | undefined)?.[step], errors) as
      { message?: string } | undefined;
  const strengthOf = (trigger: Trigger) => (
    <Strengths
      key={trigger}
      what={trigger}
      value={watch(`conditions.${trigger}`)}
      onChange={(strength) => setValue(`conditions.${trigger}`, strength, { shouldDirty: true })}
    />
  );
  const fromTracks = (walk: Walk, parts: readonly Part[]) => {
    setValue("track", walk.track, { shouldDirty: true });
    legs.replace(legsOf(parts, units));
    const days = walk.byDay.map(({ on }) => on!);
    if (days.length > 0 && !watch("starts")) setValue("starts", days[0]!);
    if (days.length > 0 && !watch("ends")) setValue("ends", days.at(-1)!);
    if (!watch("name")) setValue("name", walk.name);
  };
  return (
    <form onSubmit={submit(false)} noValidate className="max-w-4xl space-y-7 pb-10">
      {draft.restored && (
        <p role="status" className="flex flex-wrap items-center gap-3 border-l-4 border-catkin-strong pl-4">
          What you had typed of this trip is back.
          <button type="button" className="btn" onClick={draft.startAfresh}>
            Start afresh
          </button>
        </p>
      )}
      <div className="grid gap-4 sm:grid-cols-4">
        <Field label="Name" {...register("name")} error={errors.name?.message} className="sm:col-span-4" />
        <Field label="First day" type="date" {...register("starts")} error={errors.starts?.message} />
        <Field label="Last day" type="date" {...register("ends")} error={errors.ends?.message} />
        <Field
          label="Nights"
          inputMode="numeric"
          {...register("nights")}
          error={errors.nights?.message}
          hint="in the open; blank: from the dates"
        />
        <div className="space-y-1 self-center">
          <label className="flex min-h-8 items-center gap-2">
            <input type="checkbox" className="size-5" {...register("cut")} />
            cut short
          </label>
          <label className="flex min-h-8 items-center gap-2">
            <input type="checkbox" className="size-5" {...register("planned")} />
            not walked yet
          </label>
        </div>
      </div>
      <fieldset>
        <legend className="mb-1 font-head text-lg font-bold">How far</legend>
        <TrackReader units={units} onRead={fromTracks} />
        {legs.fields.map((leg, n) => (
          <div
            key={leg.id}
            className="mt-3 grid grid-cols-2 items-start gap-3 sm:grid-cols-[2fr_1fr_1fr_1fr_4rem_auto]"
          >
            <Field
              label={legs.fields.length > 1 ? `Leg ${n + 1}` : "Way"}
              {...register(`legs.${n}.name`)}
              placeholder={legs.fields.length > 1 ? "" : "may stay blank"}
            />
            <Field
              label="Distance"
              {...register(`legs.${n}.distance`)}
              error={error(`legs.${n}.distance`)?.message}
              placeholder={`62 ${units.distance}`}
            />
            <Field
              label="Ascent"
              {...register(`legs.${n}.ascent`)}
              error={error(`legs.${n}.ascent`)?.message}
              placeholder={units.distance === "km" ? "850 m" : "2800 ft"}
            />
            <SelectField label="Ground" {...register(`legs.${n}.terrain`)} options={Terrain.options} />
            {legs.fields.length > 1 && (
              <Field
                label="Nights"
                inputMode="numeric"
                {...register(`legs.${n}.nights`)}
                error={error(`legs.${n}.nights`)?.message}
              />
            )}
            {legs.fields.length > 1 && (
              <button type="button" className="btn btn-plain self-end" onClick={() => legs.remove(n)}>
                Remove<span className="sr-only"> leg {n + 1}</span>
              </button>
            )}
            {legs.fields.length > 1 && <LegDetails n={n} form={form} asked={ASKED} />}
          </div>
        ))}
        <button
          type="button"
          className="btn btn-plain mt-1"
          onClick={() => legs.append(blankLeg(watch("legs")))}
        >
          Another leg
        </button>
      </fieldset>
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
        <details className="mt-3" open={SELDOM.some((trigger) => values.conditions[trigger])}>
          <summary className="py-1">What few trips have: {listWords(SELDOM, "or")}</summary>
          <div className="grid gap-x-8 gap-y-1 sm:grid-cols-2">{SELDOM.map(strengthOf)}</div>
        </details>
        <details className="mt-1" open={Object.keys(values.offers).length > 0}>
          <summary className="py-1">What the way offered: beds, kitchens, taps, sockets</summary>
          <p className="hint mb-2">
            It takes jobs off the list: a stove unused where there were kitchens is not held against it.
          </p>
          <div className="grid gap-x-8 gap-y-1 sm:grid-cols-2">
            {Offer.options.map((offer) => (
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
      {watch("planned") && (
        <fieldset>
          <legend className="mb-1 font-head text-lg font-bold">What is ahead</legend>
          <div className="grid gap-4 sm:grid-cols-3">
            <Field
              label="Coldest night expected"
              {...register("low")}
              error={errors.low?.message}
              placeholder={units.temperature === "C" ? "2 °C" : "36 °F"}
            />
            <Field
              label="Longest stretch without water"
              {...register("dry")}
              error={errors.dry?.message}
              placeholder={`14 ${units.distance}`}
            />
            <Field
              label="Days from shop to shop"
              inputMode="decimal"
              {...register("resupply")}
              error={errors.resupply?.message}
            />
          </div>
        </fieldset>
      )}
      <Packing
        shelf={shelf}
        last={last}
        units={units}
        legs={watch("legs").map(({ leg }) => leg)}
        packed={watch("packed")}
        onPack={(packed) => setValue("packed", packed, { shouldDirty: true })}
        error={(errors.packed as { message?: string } | undefined)?.message}
      />
      <TextField label="Note" {...register("note")} error={errors.note?.message} />
      {wrong && (
        <p role="alert" className="error">
          {wrong}
        </p>
      )}
      {ask && (
        <p role="alert" className="flex flex-wrap items-center gap-2 border-l-4 border-catkin-strong pl-3">
          {ask}{" "}
          <button type="button" className="btn" onClick={submit(true)}>
            Yes, save it
          </button>
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button className="btn btn-leaf" disabled={busy}>
          {id ? "Save" : watch("planned") ? "Save the plan" : "Save, and unpack"}
        </button>
        {!id && <span className="self-center text-sm text-muted">kept in this browser as you type</span>}
        {id && <DeleteTrip id={id} name={values.name} />}
      </div>
    </form>
  );
}

/** Removing a trip takes its marks along and can't be undone, so here it asks. */
function DeleteTrip({ id, name }: { id: TripId; name: string }) {
  const router = useRouter();
  const { run } = useDoing();
  const [asking, setAsking] = useState(false);
  if (!asking)
    return (
      <button type="button" className="btn btn-plain text-sting" onClick={() => setAsking(true)}>
        Remove this trip
      </button>
    );
  return (
    <span role="alert" className="flex flex-wrap items-center gap-2">
      Remove {name} with all its marks?
      <button
        type="button"
        className="btn"
        onClick={() =>
          run(async () => {
            const removed = await deleteTrip(id);
            if (removed.ok) router.push("/trips");
            return removed;
          })
        }
      >
        Yes, remove it
      </button>
      <button type="button" className="btn btn-plain" onClick={() => setAsking(false)}>
        Keep it
      </button>
    </span>
  );
}
