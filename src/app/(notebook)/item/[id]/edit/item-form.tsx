"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { saveItem } from "@/app/(notebook)/shelf/actions";
import type { Units } from "@/core/units/speak";
import { byFormField } from "@/ui/form/answer";
import { TextField } from "@/ui/form/field";
import { FormEnd } from "@/ui/form/form-end";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { tellOtherTabs } from "@/ui/follow/channel";
import { itemPath } from "@/ui/paths";
import { PageForm } from "@/ui/form/page-form";
import { JudgedFields } from "./judged-fields";
import { LifeFields } from "./life-fields";
import { NameFields, type KindRow } from "./name-fields";
import { formFieldOf, toItem, toValues, type FileItem, type Values } from "./item-values";
import { OwnServices, PartFields } from "./own-lists";
import { RatingFields } from "./rating-fields";

interface ItemFormProps {
  readonly item: FileItem;
  readonly bags: readonly (readonly [id: string, name: string])[];
  readonly kinds: readonly KindRow[];
  /** What a thing wished for may take the place of. */
  readonly things: readonly (readonly [id: string, name: string])[];
  readonly currency: string;
  readonly units: Units;
}

/** All that is known of a thing, blank where it is as its kind has it. */
export function ItemForm({ item, kinds, bags, things, units, currency }: ItemFormProps) {
  const router = useRouter();
  // As it was when the form was opened: another screen may change it meanwhile, and is asked about then.
  const [opened] = useState(item);
  const { form, field, ask, submit, busy, wrong } = useAnsweredForm<Values, undefined>(
    toValues(item, units),
    async (values, sure) =>
      byFormField(await saveItem(toItem(item.id, values, opened, units), sure, opened), formFieldOf),
    (_, saved) => {
      tellOtherTabs();
      router.push(saved.getValues("state") === "wished" ? "/shelf/wishes" : itemPath(item.id));
      router.refresh();
    },
  );
  const chosen = form.watch("kind");
  const kind = kinds.find(({ id }) => id === chosen);
  return (
    <PageForm onSend={submit(false)} className="max-w-4xl space-y-7 pb-10">
      <NameFields form={form} field={field} kinds={kinds} kind={kind} bags={bags} />
      <JudgedFields form={form} field={field} kind={kind} />
      <RatingFields form={form} field={field} kind={kind} units={units} />
      <fieldset>
        <legend className="mb-2 font-head text-lg font-bold">Its life so far</legend>
        <LifeFields form={form} field={field} things={things} currency={currency} />
        <OwnServices form={form} units={units} />
        <PartFields form={form} />
        <TextField label="Note" {...field("note")} className="mt-4" />
      </fieldset>
      <div className="flex flex-wrap items-center gap-2">
        <FormEnd
          save="Save"
          saveAnyhow="Yes, save it"
          look="btn btn-leaf"
          wrong={wrong}
          ask={ask}
          busy={busy}
          onSure={submit(true)}
        />
        {!ask && (
          <Link href={itemPath(item.id)} className="btn btn-plain">
            Leave it as it was
          </Link>
        )}
      </div>
    </PageForm>
  );
}
