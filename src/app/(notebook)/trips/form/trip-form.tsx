"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { ItemId, TripId } from "@/core/model";
import type { Units } from "@/core/units/speak";
import { byFormField } from "@/ui/form/answer";
import { TextField } from "@/ui/form/field";
import { FormEnd } from "@/ui/form/form-end";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { forgetDraft, useDraft } from "@/ui/form/use-draft";
import { tellOtherTabs } from "@/ui/follow/channel";
import { tripPath, unpackPath } from "@/ui/paths";
import { PageForm } from "@/ui/form/page-form";
import { saveTrip } from "../actions";
import type { Seen } from "../seen";
import { AheadFields } from "./ahead-fields";
import { DeleteTrip } from "./delete-trip";
import { LikeFields } from "./like-fields";
import { Packing } from "./packing";
import { toPacked, toTrip, type Packable, type TripValues } from "./trip-form-values";
import { WayAsTyped } from "./way-as-typed";
import { WayFields } from "./way-fields";
import { WhenFields } from "./when-fields";

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
const formFieldOf = (path: string) => path.replace(/^foreseen\./, "");

/** A trip, walked or planned: when, how far, what it was like, and what went along. */
export function TripForm({ id, seen, values, shelf, last, units, places }: TripFormProps) {
  const router = useRouter();
  // As it was when the form was opened: another screen may change it meanwhile, and is asked about then.
  const [opened] = useState(seen);
  const { form, field, ask, submit, busy, wrong } = useAnsweredForm<TripValues, TripId>(
    values,
    async (typed, sure) =>
      byFormField(
        await saveTrip(toTrip(id, typed, units), toPacked(typed), typed.track, sure, opened),
        formFieldOf,
      ),
    (saved, { getValues }) => {
      forgetDraft(DRAFT);
      tellOtherTabs();
      router.push(afterSaving(saved, getValues("planned"), id === undefined));
      router.refresh();
    },
  );
  // A trip that is in the log already is changed there; only a new one is kept while it is typed.
  const draft = useDraft(id ? null : DRAFT, form);
  const isPlan = form.watch("planned");
  const saves = isPlan ? "Save the plan" : "Save, and unpack";
  return (
    <PageForm onSend={submit(false)} className="max-w-4xl space-y-7 pb-10">
      {draft.restored && <IsBack onAfresh={draft.startAfresh} />}
      <WhenFields form={form} field={field} />
      <WayFields form={form} field={field} units={units} />
      <WayAsTyped form={form} units={units} />
      <LikeFields form={form} places={places} units={units} opened={values} />
      {isPlan && <AheadFields field={field} units={units} />}
      <Packing
        shelf={shelf}
        last={last}
        units={units}
        isPlan={isPlan}
        legs={form.watch("legs").map(({ leg }) => leg)}
        packed={form.watch("packed")}
        onPack={(packed) => form.setValue("packed", packed, { shouldDirty: true })}
        error={field("packed").error}
      />
      <TextField label="Note" {...field("note")} />
      <div className="flex flex-wrap gap-2">
        <FormEnd
          save={id ? "Save" : saves}
          saveAnyhow="Yes, save it"
          look="btn btn-leaf"
          wrong={wrong}
          ask={ask}
          busy={busy}
          onSure={submit(true)}
        />
        {!id && <span className="self-center text-sm text-muted">kept in this browser as you type</span>}
        {id && <DeleteTrip id={id} name={values.name} />}
      </div>
    </PageForm>
  );
}

/** What one does next with a trip that was saved. */
function afterSaving(trip: TripId, isPlan: boolean, isNew: boolean): string {
  if (isPlan) return `/next?${new URLSearchParams({ trip })}`;
  return isNew ? unpackPath(trip) : tripPath(trip);
}

function IsBack({ onAfresh }: { onAfresh: () => void }) {
  return (
    <p role="status" className="flex flex-wrap items-center gap-3 border-l-4 border-catkin-strong pl-4">
      What you had typed of this trip is back.
      <button type="button" className="btn" onClick={onAfresh}>
        Start afresh
      </button>
    </p>
  );
}
