"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import type { z } from "zod";
import { findKind } from "@/core/trade/names";
import { KINDS } from "@/core/trade/kinds";
import type { Item } from "@/core/model";
import { Consequence, ItemState, JOBS, Load, STOWS, TRIGGERS, type Job, type Trigger } from "@/core/model";
import { isBed } from "@/core/trade/warmth";
import { parseAmount, parseNumber, parseTemperature, withUnit } from "@/core/units/quantity";
import { sayTemperature, type Units } from "@/core/units/speak";
import { saveItem } from "@/app/shelf/actions";
import type { Answer } from "@/ui/answer";
import { Field, SelectField, TextField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { useAnsweredForm } from "@/ui/use-answered-form";
import { itemPath } from "@/ui/paths";

type FileItem = z.input<typeof Item>;

/** The item as the form holds it: texts, blank for "as its kind" or "nobody knows". */
interface Values {
  name: string;
  kind: string;
  weight: string;
  weighed: string;
  stow: string;
  bag: string;
  load: string;
  cover: string;
  consequence: string;
  pieces: string;
  past: string;
  openingDistance: string;
  openingNights: string;
  acquired: string;
  price: string;
  warranty: string;
  expires: string;
  state: string;
  since: string;
  slot: string;
  currency: string;
  instead: string;
  label: string;
  labelMeans: string;
  rValue: string;
  wattHours: string;
  litres: string;
  packed: string;
  volume: string;
  comfortableLoad: string;
  empty: string;
  lumens: string;
  note: string;
  jobs: string[];
  triggers: string[];
}

const blank = (value: unknown) => (value === null || value === undefined ? "" : String(value));

function toValues(item: FileItem, units: Units): Values {
  const { jobs, triggers, opening, ratings = {} } = item;
  return {
    currency: blank(item.currency),
    instead: blank(item.instead),
    label: ratings.label ? sayTemperature(ratings.label.celsius, units) : "",
    labelMeans: ratings.label?.means ?? "comfort",
    rValue: blank(ratings.rValue),
    wattHours: blank(ratings.wattHours),
    litres: blank(ratings.litres),
    packed: blank(ratings.packed),
    volume: blank(ratings.volume),
    comfortableLoad: blank(ratings.comfortableLoad),
    empty: blank(ratings.empty),
    lumens: blank(ratings.lumens),
    name: item.name,
    kind: item.kind,
    weight: blank(item.weights?.at(-1)?.weight),
    weighed: item.weights?.at(-1)?.how ?? "measured",
    stow: blank(item.stow),
    bag: blank(item.bag),
    load: blank(item.load),
    cover: item.cover === null || item.cover === undefined ? "" : item.cover ? "yes" : "no",
    consequence: blank(item.consequence),
    pieces: blank(item.pieces ?? 1),
    past: item.past ?? "known",
    openingDistance: blank(opening?.distance),
    openingNights: blank(opening?.nights),
    acquired: blank(item.acquired),
    price: blank(item.price),
    warranty: blank(item.warranty),
    expires: blank(item.expires),
    state: item.state ?? "active",
    since: blank(item.since),
    slot: blank(item.slot),
    note: item.note ?? "",
    jobs: jobs ?? [],
    triggers: triggers ?? [],
  };
}

const orNull = (text: string) => (text.trim() === "" ? null : text.trim());

/** Another weight is a weighing more; the same one stays as it was. */
function weighed({ weight, weighed: how }: Values, { weights = [] }: FileItem, units: Units): unknown[] {
  const last = weights.at(-1);
  if (weight.trim() === "") return [];
  if (last && blank(last.weight) === weight.trim() && (last.how ?? "measured") === how) return weights;
  return [...weights, { weight: withUnit(weight, units.weight), how }];
}

/** What is not told is left out. */
const told = (ratings: Record<string, unknown>) =>
  Object.fromEntries(Object.entries(ratings).filter(([, value]) => value !== null));

/** A label as typed; what is no temperature goes on as it is, to be refused with a sentence. */
function labelOf({ label, labelMeans }: Values, units: Units): unknown {
  if (label.trim() === "") return null;
  const read = parseTemperature(label, units.temperature);
  return { celsius: read.ok ? read.value : label, means: labelMeans };
}

/** Capacity in Wh; "10000 mAh at 3.7 V" is turned into it, and what is no number goes on, to be refused. */
function wattHoursOf({ wattHours }: Values): unknown {
  if (wattHours.trim() === "") return null;
  const read = parseAmount(wattHours);
  return read.ok && ["", "Wh"].includes(read.value.unit) ? read.value.value : wattHours;
}

function toItem(id: string, v: Values, was: FileItem, units: Units): unknown {
  return {
    ...was,
    id,
    currency: orNull(v.currency),
    instead: v.state === "wished" ? orNull(v.instead) : null,
    ratings: told({
      label: labelOf(v, units),
      rValue: parseNumber(v.rValue),
      wattHours: wattHoursOf(v),
      litres: parseNumber(v.litres),
      packed: parseNumber(v.packed),
      volume: parseNumber(v.volume),
      comfortableLoad: orNull(withUnit(v.comfortableLoad, units.weight === "g" ? "kg" : "lb")),
      empty: orNull(withUnit(v.empty, units.weight)),
      lumens: parseNumber(v.lumens),
    }),
    name: v.name,
    kind: v.kind,
    weights: weighed(v, was, units),
    stow: orNull(v.stow),
    bag: v.stow === "bag" ? orNull(v.bag) : null,
    load: orNull(v.load),
    cover: v.cover === "" ? null : v.cover === "yes",
    consequence: orNull(v.consequence),
    pieces: Number(v.pieces),
    past: v.past,
    opening:
      v.past === "known"
        ? {
            distance: orNull(withUnit(v.openingDistance, units.distance)),
            nights: Number(v.openingNights || 0),
            days: was.opening?.days ?? 0,
          }
        : null,
    acquired: orNull(v.acquired),
    price: parseNumber(v.price),
    warranty: orNull(v.warranty),
    expires: orNull(v.expires),
    state: v.state,
    since: orNull(v.since),
    slot: orNull(v.slot),
    note: v.note,
    jobs: v.jobs.length ? v.jobs : null,
    triggers: v.triggers.length ? v.triggers : null,
  };
}

/** What the record keeps in a list or a pair stands in the form as one field. */
const FORM_FIELDS: readonly (readonly [RegExp, keyof Values])[] = [
  [/^weights/, "weight"],
  [/^opening\.distance/, "openingDistance"],
  [/^opening\.nights/, "openingNights"],
  [/^ratings\.label/, "label"],
  ...(
    ["rValue", "wattHours", "litres", "packed", "volume", "comfortableLoad", "empty", "lumens"] as const
  ).map((field): readonly [RegExp, keyof Values] => [new RegExp(`^ratings\\.${field}`), field]),
];

/** A rating with what it is asked of: things of these jobs, and whatever has it already. */
const RATINGS: readonly {
  readonly field: keyof Values;
  readonly label: string;
  readonly hint: string;
  readonly jobs: readonly Job[];
}[] = [
  { field: "rValue", label: "R-value", hint: "of a pad: 3.2", jobs: ["pad"] },
  { field: "wattHours", label: "Capacity", hint: "37 Wh, or 10000 mAh at 3.7 V", jobs: ["power"] },
  { field: "litres", label: "Holds, litres", hint: "water, or a pot", jobs: ["carry water", "cook"] },
  { field: "volume", label: "Room in it, litres", hint: "of a pack", jobs: ["carry"] },
  { field: "comfortableLoad", label: "Carries well up to", hint: "12 kg or 26 lb", jobs: ["carry"] },
  { field: "empty", label: "Weight when empty", hint: "of a gas canister: 98 g", jobs: ["fuel"] },
  { field: "lumens", label: "Lumens", hint: "", jobs: ["light"] },
];

const byFormField = (answer: Answer): Answer =>
  answer.ok
    ? answer
    : {
        ...answer,
        fields: Object.fromEntries(
          Object.entries(answer.fields).map(([path, message]) => [
            FORM_FIELDS.find(([pattern]) => pattern.test(path))?.[1] ?? path,
            message,
          ]),
        ),
      };

export function ItemForm({
  item,
  bags,
  things,
  units,
  currency,
}: {
  item: FileItem;
  bags: readonly (readonly [string, string])[];
  /** What a thing wished for may take the place of. */
  things: readonly (readonly [string, string])[];
  currency: string;
  units: Units;
}) {
  const router = useRouter();
  const { form, ask, submit, busy, wrong } = useAnsweredForm<Values, undefined>(
    toValues(item, units),
    async (values, sure) => byFormField(await saveItem(toItem(item.id, values, item, units), sure, item)),
    (_, saved) => {
      tellOtherTabs();
      router.push(saved.getValues("state") === "wished" ? "/shelf/wishes" : itemPath(item.id));
      router.refresh();
    },
  );
  const {
    register,
    watch,
    formState: { errors },
  } = form;
  const kind = findKind(watch("kind"));
  const error = (name: keyof Values) => errors[name]?.message;
  const asKind = (value: string | undefined) => ["", `as its kind: ${value ?? "–"}`] as const;
  return (
    <form onSubmit={submit(false)} noValidate className="max-w-4xl space-y-7 pb-10">
      <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        <Field label="Name" {...register("name")} error={error("name")} className="sm:col-span-2" />
        <SelectField
          label="Kind"
          {...register("kind")}
          error={error("kind")}
          options={KINDS.map(({ id }) => id)}
        />
        <Field
          label="Weight"
          {...register("weight")}
          error={error("weight")}
          hint="312 g, 9.6 oz or 2 lb 3 oz"
        />
        <SelectField
          label="Weighed"
          {...register("weighed")}
          options={[
            ["measured", "on my scale"],
            ["claimed", "as claimed"],
          ]}
        />
        <Field
          label="Pieces"
          inputMode="numeric"
          {...register("pieces")}
          error={error("pieces")}
          hint="a set of like pieces: 8 stakes"
        />
        <SelectField
          label="Where it rides"
          {...register("stow")}
          options={[
            asKind(kind && STOW_NAMES[kind.stow].toLowerCase()),
            ...STOWS.map((stow) => [stow, STOW_NAMES[stow].toLowerCase()] as const),
          ]}
        />
        {watch("stow") === "bag" && (
          <SelectField
            label="Inside"
            {...register("bag")}
            error={error("bag")}
            options={[["", "–"], ...bags]}
          />
        )}
        <Field
          label="Slot"
          {...register("slot")}
          error={error("slot")}
          hint="one job filled by one thing after another: walking shoes"
        />
      </div>
      <fieldset>
        <legend className="mb-2 font-head text-lg font-bold">How it is judged</legend>
        <div className="grid gap-4 sm:grid-cols-3">
          <SelectField
            label="Counts as"
            {...register("load")}
            options={[asKind(kind?.load), ...Load.options]}
          />
          <SelectField
            label="Cover"
            {...register("cover")}
            hint="carried in the hope of not needing it"
            options={[asKind(kind && (kind.cover ? "yes" : "no")), "yes", "no"]}
          />
          <SelectField
            label="If it were missing"
            {...register("consequence")}
            options={[asKind(kind?.consequence), ...Consequence.options]}
          />
        </div>
        <Ticks
          label="Called for by"
          all={TRIGGERS}
          kinds={kind?.triggers ?? []}
          name="triggers"
          register={register("triggers")}
        />
        <Ticks label="Jobs" all={JOBS} kinds={kind?.jobs ?? []} name="jobs" register={register("jobs")} />
      </fieldset>
      <fieldset>
        <legend className="mb-2 font-head text-lg font-bold">What it is rated by</legend>
        <div className="grid gap-4 sm:grid-cols-3">
          {(isBed(kind?.id ?? "") || watch("label") !== "") && (
            <>
              <Field
                label="Label temperature"
                {...register("label")}
                error={error("label")}
                hint={units.temperature === "C" ? "−2 °C" : "28 °F"}
              />
              <SelectField
                label="which is"
                {...register("labelMeans")}
                options={[
                  ["comfort", "comfort, by test"],
                  ["limit", "limit, by test"],
                  ["extreme", "extreme, by test"],
                  ["plain", "a number of its maker"],
                ]}
              />
            </>
          )}
          {RATINGS.filter(
            ({ field, jobs }) => watch(field) !== "" || jobs.some((job) => kind?.jobs.includes(job)),
          ).map(({ field, label, hint }) => (
            <Field key={field} label={label} {...register(field)} error={error(field)} hint={hint} />
          ))}
          <Field
            label="Packed size, litres"
            inputMode="decimal"
            {...register("packed")}
            error={error("packed")}
            hint="the room that it takes"
          />
        </div>
      </fieldset>
      <fieldset>
        <legend className="mb-2 font-head text-lg font-bold">Its life so far</legend>
        <div className="grid gap-4 sm:grid-cols-3">
          <SelectField
            label="Before this log"
            {...register("past")}
            options={[
              ["new", "new"],
              ["known", "used, and I know how much"],
              ["unknown", "used, nobody knows how much"],
            ]}
          />
          {watch("past") === "known" && (
            <>
              <Field
                label="Walked before"
                {...register("openingDistance")}
                error={error("openingDistance")}
                hint="540 km or 335 mi"
              />
              <Field
                label="Nights before"
                inputMode="decimal"
                {...register("openingNights")}
                error={error("openingNights")}
              />
            </>
          )}
          <Field label="Got on" type="date" {...register("acquired")} error={error("acquired")} />
          <Field label="Price" inputMode="decimal" {...register("price")} error={error("price")} />
          <Field
            label="in"
            {...register("currency")}
            error={error("currency")}
            hint={`blank: ${currency}`}
            maxLength={4}
          />
          <Field label="Warranty until" type="date" {...register("warranty")} error={error("warranty")} />
          <Field
            label="Date on the label"
            type="date"
            {...register("expires")}
            error={error("expires")}
            hint="expiry, battery"
          />
          <SelectField label="State" {...register("state")} options={ItemState.options} />
          {watch("state") === "wished" && (
            <SelectField
              label="In the place of"
              {...register("instead")}
              error={error("instead")}
              options={[["", "nothing"], ...things]}
            />
          )}
          {watch("state") !== "active" && watch("state") !== "wished" && (
            <Field label="Since" type="date" {...register("since")} error={error("since")} />
          )}
        </div>
        <TextField label="Note" {...register("note")} error={error("note")} className="mt-4" />
      </fieldset>
      {wrong && (
        <p role="alert" className="error">
          {wrong}
        </p>
      )}
      {ask ? (
        <p role="alert" className="flex flex-wrap items-center gap-2 border-l-4 border-catkin-strong pl-3">
          {ask}{" "}
          <button type="button" className="btn" onClick={submit(true)}>
            Yes, save it
          </button>
        </p>
      ) : (
        <div className="flex gap-2">
          <button className="btn btn-leaf" disabled={busy}>
            Save
          </button>
          <Link href={itemPath(item.id)} className="btn btn-plain">
            Leave it as it was
          </Link>
        </div>
      )}
    </form>
  );
}

/** Tick some, or none: then it is as the kind has it. */
function Ticks({
  label,
  all,
  kinds,
  name,
  register,
}: {
  label: string;
  all: readonly (Trigger | Job)[];
  kinds: readonly string[];
  name: string;
  register: ReturnType<ReturnType<typeof useAnsweredForm<Values, undefined>>["form"]["register"]>;
}) {
  return (
    <details className="mt-3">
      <summary className="label !list-item">
        {label} <span className="font-normal text-muted">(as its kind: {kinds.join(", ") || "–"})</span>
      </summary>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1" role="group" aria-label={label}>
        {all.map((each) => (
          <label key={`${name}-${each}`} className="flex min-h-8 items-center gap-1.5">
            <input type="checkbox" value={each} className="size-4" {...register} />
            {each}
          </label>
        ))}
      </div>
    </details>
  );
}
