"use client";

import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { useFieldArray } from "react-hook-form";
import {
  Offer,
  Terrain,
  type ItemId,
  type Strength,
  type Stow,
  type Trigger,
  type TripId,
} from "@/core/model";
import { count, sayDistance, sayHeight, sayMass, type Units } from "@/core/units/speak";
import { ASCENT_NOISE_M, type GpxSum } from "@/formats/gpx";
import { Field, SelectField, TextField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { useAnsweredForm } from "@/ui/use-answered-form";
import { forgetDraft, useDraft } from "@/ui/use-draft";
import { deleteTrip, saveTrip } from "./actions";
import { readTrack } from "./read-track";
import { tripPath, unpackPath } from "@/ui/paths";

/** What a walker notices of a trip's weather and ground, in the order it is asked. */
const ASKED: readonly Trigger[] = [
  "rain",
  "wind",
  "cold",
  "freezing",
  "heat",
  "sun",
  "bugs",
  "ticks",
  "snow or ice",
  "crossings",
  "dry stretch",
  "condensation",
  "no signal",
  "town",
];

interface LegValues {
  /** The leg's id, which it keeps wherever it is put. */
  leg: string;
  name: string;
  distance: string;
  ascent: string;
  terrain: string;
  nights: string;
}

export interface TripValues {
  name: string;
  starts: string;
  ends: string;
  nights: string;
  planned: boolean;
  cut: boolean;
  note: string;
  legs: LegValues[];
  conditions: Partial<Record<Trigger, Strength>>;
  offers: Partial<Record<Offer, Strength>>;
  /** Legs carried on, by item; "all", or their ids parted by commas. */
  packed: Partial<Record<string, string>>;
}

export interface Packable {
  readonly id: ItemId;
  readonly name: string;
  readonly stow: Stow;
  readonly grams: number;
}

/** Where a new trip is kept in the browser while it is typed. */
const DRAFT = "nettle-new-trip";

interface TripFormProps {
  readonly id?: TripId;
  readonly values: TripValues;
  readonly shelf: readonly Packable[];
  /** The last trip's list, to start from. */
  readonly last: { readonly name: string; readonly items: readonly ItemId[] } | null;
  readonly units: Units;
}

export function TripForm({ id, values, shelf, last, units }: TripFormProps) {
  const router = useRouter();
  const { form, ask, submit, busy, wrong } = useAnsweredForm<TripValues, TripId>(
    values,
    (typed, sure) => saveTrip(toTrip(id, typed, units), toPacked(typed), sure),
    (saved, { getValues }) => {
      forgetDraft(DRAFT);
      tellOtherTabs();
      router.push(id || getValues("planned") ? tripPath(saved) : unpackPath(saved));
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
  const fromTrack = (track: GpxSum) => {
    legs.replace(
      track.tracks.map((each, n) => ({
        leg: `leg-${n + 1}`,
        nights: "",
        name: track.tracks.length > 1 ? each.name : "",
        terrain: "mixed",
        distance:
          units.distance === "km"
            ? `${(each.metres / 1000).toFixed(1)} km`
            : `${(each.metres / 1609.344).toFixed(1)} mi`,
        ascent:
          each.ascent === null
            ? ""
            : units.distance === "km"
              ? `${Math.round(each.ascent)} m`
              : `${Math.round(each.ascent / 0.3048)} ft`,
      })),
    );
    const starts = track.tracks.map((each) => each.starts).find((day) => day !== null);
    const ends = track.tracks.map((each) => each.ends).findLast((day) => day !== null);
    if (starts && !watch("starts")) setValue("starts", starts.slice(0, 10));
    if (ends && !watch("ends")) setValue("ends", ends.slice(0, 10));
    if (!watch("name")) setValue("name", track.name);
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
          hint="blank: from the dates"
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
        <TrackReader units={units} onRead={fromTrack} />
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
        <div className="grid gap-x-8 gap-y-1 sm:grid-cols-2">
          {ASKED.map((trigger) => (
            <Strengths
              key={trigger}
              what={trigger}
              value={watch(`conditions.${trigger}`)}
              onChange={(strength) => setValue(`conditions.${trigger}`, strength, { shouldDirty: true })}
            />
          ))}
        </div>
        <details className="mt-3">
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
            Yes, keep both
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

const orNull = (text: string) => (text.trim() === "" ? null : text.trim());

function toTrip(id: TripId | undefined, typed: TripValues, units: Units): Record<string, unknown> {
  const bare = (text: string, unit: string) =>
    /^[\d.,\s]+$/.test(text) && text.trim() !== "" ? `${text.trim()} ${unit}` : text.trim();
  return {
    ...(id ? { id } : {}),
    name: typed.name,
    starts: typed.starts,
    ends: typed.ends || typed.starts,
    planned: typed.planned,
    cut: typed.cut,
    note: typed.note,
    nights: typed.nights.trim() === "" ? null : Number(typed.nights),
    legs: typed.legs.map(({ leg, name, distance, ascent, terrain, nights }) => ({
      id: leg,
      nights: nights.trim() === "" || typed.legs.length === 1 ? null : Number(nights),
      name,
      terrain,
      distance: bare(distance, units.distance),
      ascent: orNull(bare(ascent, units.distance === "km" ? "m" : "ft")),
    })),
    conditions: told(typed.conditions),
    offers: told(typed.offers),
  };
}

const told = (strengths: Partial<Record<string, Strength>>) =>
  Object.fromEntries(Object.entries(strengths).filter(([, strength]) => strength));

/** A leg more, with an id that no other has. */
function blankLeg(legs: readonly LegValues[]): LegValues {
  const taken = new Set(legs.map(({ leg }) => leg));
  const free = Array.from({ length: legs.length + 1 }, (_, n) => `leg-${n + 1}`).find(
    (id) => !taken.has(id),
  )!;
  return { leg: free, name: "", distance: "", ascent: "", terrain: "mixed", nights: "" };
}

const toPacked = ({ packed }: TripValues) =>
  Object.entries(packed).flatMap(([item, legs]) =>
    legs === undefined ? [] : [{ item, legs: legs === "all" ? null : legs.split(",") }],
  );

function TrackReader({ units, onRead }: { units: Units; onRead: (track: GpxSum) => void }) {
  const [told, setTold] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const [reading, setReading] = useState(false);
  const choose = async (file: File | undefined) => {
    setTold(undefined);
    setWrong(undefined);
    if (!file) return;
    setReading(true);
    const read = await readTrack(file).catch((error: Error) => ({ ok: false as const, why: error.message }));
    setReading(false);
    if (!read.ok) return setWrong(read.why);
    onRead(read.value);
    const metres = read.value.tracks.reduce((sum, track) => sum + track.metres, 0);
    const climbed = read.value.tracks.reduce((sum, track) => sum + (track.ascent ?? 0), 0);
    const moving = read.value.tracks.reduce((sum, track) => sum + (track.movingSeconds ?? 0), 0);
    const points = read.value.tracks.reduce((sum, track) => sum + track.points, 0);
    setTold(
      `${count(points, "point")}: ${sayDistance(metres, units)}, ${climbed > 0 ? `${sayHeight(climbed, units)} up (rises under ${sayHeight(ASCENT_NOISE_M, units)} left out)` : "no heights in it"}${moving > 0 ? `, ${(moving / 3600).toFixed(1)} h moving` : ""}. Filled in below.`,
    );
  };
  return (
    <div>
      <label className="flex flex-wrap items-center gap-3">
        <span className="label !mb-0">From a track (GPX)</span>
        <input
          type="file"
          accept=".gpx,application/gpx+xml"
          className="field !w-auto max-w-full"
          onChange={(event) => void choose(event.target.files?.[0])}
          aria-invalid={wrong ? true : undefined}
          aria-describedby="track-told"
        />
      </label>
      <div id="track-told" aria-live="polite">
        {reading && (
          <p className="hint mt-1 flex items-center gap-2">
            Reading the track … <progress className="h-2" />
          </p>
        )}
        {told && <p className="mt-1 text-leaf">{told}</p>}
        {wrong && <p className="error mt-1">{wrong} You can still type the distance.</p>}
      </div>
    </div>
  );
}

function Strengths({
  what,
  value,
  onChange,
}: {
  what: Trigger | Offer;
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
            name={`condition-${what}`}
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

interface PackingProps {
  readonly shelf: readonly Packable[];
  readonly last: TripFormProps["last"];
  readonly units: Units;
  readonly legs: readonly string[];
  readonly packed: TripValues["packed"];
  readonly error: string | undefined;
  readonly onPack: (packed: TripValues["packed"]) => void;
}

function Packing({ shelf, last, units, legs, packed, error, onPack }: PackingProps) {
  const chosen = shelf.filter((item) => packed[item.id] !== undefined);
  const groups = useMemo(
    () =>
      [...new Set(shelf.map((item) => item.stow))].map(
        (stow) => [stow, shelf.filter((item) => item.stow === stow)] as const,
      ),
    [shelf],
  );
  const all = (ids: readonly string[]) =>
    onPack(Object.fromEntries(ids.map((item) => [item, packed[item] ?? "all"])));
  return (
    <fieldset>
      <legend className="mb-1 font-head text-lg font-bold">What went along</legend>
      <div className="mb-2 flex flex-wrap items-center gap-2">
        {last && (
          <button type="button" className="btn" onClick={() => all(last.items)}>
            As on {last.name}
          </button>
        )}
        <button type="button" className="btn" onClick={() => all(shelf.map((item) => item.id))}>
          Everything
        </button>
        <button type="button" className="btn btn-plain" onClick={() => all([])}>
          Nothing
        </button>
        <span role="status" className="text-muted">
          {count(chosen.length, "thing")},{" "}
          {sayMass(
            chosen.reduce((sum, item) => sum + item.grams, 0),
            units,
          )}
        </span>
      </div>
      {error && (
        <p role="alert" className="error">
          {error}
        </p>
      )}
      {shelf.length === 0 && (
        <p className="text-muted">
          The shelf is empty. Save the trip, put things on the shelf, and come back.
        </p>
      )}
      <div className="columns-1 gap-8 sm:columns-2">
        {groups.map(([stow, items]) => (
          <div key={stow} className="mb-3 break-inside-avoid">
            <p className="border-b border-rule-strong font-head text-sm font-bold">{STOW_NAMES[stow]}</p>
            {items.map((item) => (
              <div key={item.id} className="flex items-center gap-2 border-b border-rule">
                <label className="flex min-h-8 flex-1 items-center gap-2 pointer-coarse:min-h-11">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={packed[item.id] !== undefined}
                    onChange={(event) =>
                      onPack({ ...packed, [item.id]: event.target.checked ? "all" : undefined })
                    }
                  />
                  {item.name}
                </label>
                {legs.length > 1 && packed[item.id] !== undefined && (
                  <LegPicks
                    name={item.name}
                    legs={legs}
                    value={packed[item.id]!}
                    onChange={(value) => onPack({ ...packed, [item.id]: value })}
                  />
                )}
              </div>
            ))}
          </div>
        ))}
      </div>
    </fieldset>
  );
}

/** From leg to leg: sent home on the way, or bought on it. */
/** The legs that a thing was carried on, each to be pressed: any of them, not only one stretch. */
function LegPicks({
  name,
  legs,
  value,
  onChange,
}: {
  name: string;
  legs: readonly string[];
  value: string;
  onChange: (value: string) => void;
}) {
  const on = new Set(value === "all" ? legs : value.split(","));
  const press = (leg: string) => {
    const next = legs.filter((each) => (each === leg ? !on.has(each) : on.has(each)));
    if (next.length > 0) onChange(next.length === legs.length ? "all" : next.join(","));
  };
  return (
    <span role="group" aria-label={`${name}: legs`} className="flex items-center gap-0.5 text-sm text-muted">
      {legs.map((leg, n) => (
        <button
          key={leg}
          type="button"
          aria-label={`leg ${n + 1}`}
          aria-pressed={on.has(leg)}
          onClick={() => press(leg)}
          className={`num min-h-7 min-w-6 border px-1 pointer-coarse:min-h-11 pointer-coarse:min-w-9 ${on.has(leg) ? "border-leaf bg-leaf text-on-leaf" : "border-rule bg-sheet"}`}
        >
          {n + 1}
        </button>
      ))}
    </span>
  );
}

/** Removing a trip takes its marks along and can't be undone, so here it asks. */
function DeleteTrip({ id, name }: { id: TripId; name: string }) {
  const router = useRouter();
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
          void deleteTrip(id).then(() => {
            tellOtherTabs();
            router.push("/trips");
            router.refresh();
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
