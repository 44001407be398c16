"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { findKind } from "@/core/trade/names";
import { KINDS } from "@/core/trade/kinds";
import { Consequence, ItemState, JOBS, Load, STOWS, TRIGGERS, type Job, type Trigger } from "@/core/model";
import type { Units } from "@/core/units/speak";
import { saveItem } from "@/app/(notebook)/shelf/actions";
import { Field, SelectField, TextField } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { useAnsweredForm } from "@/ui/use-answered-form";
import { itemPath } from "@/ui/paths";
import { byFormField, toItem, toValues, type FileItem, type Values } from "./item-values";
import { OwnServices, PartFields } from "./own-lists";
import { RatingFields } from "./rating-fields";

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
      <RatingFields form={form} kind={kind} units={units} />
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
          <Field
            label="Whose it is"
            {...register("owner")}
            error={error("owner")}
            hint="blank: mine; a name, where it is borrowed"
            maxLength={60}
          />
          <Field
            label="Who has it now"
            {...register("lentTo")}
            error={error("lentTo")}
            hint="blank: it is here"
            maxLength={60}
          />
          {watch("state") === "wished" && (
            <Field
              label="Days to come"
              inputMode="numeric"
              {...register("delivery")}
              error={error("delivery")}
              hint="from the order to your door"
            />
          )}
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
        <OwnServices form={form} units={units} />
        <PartFields form={form} />
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
