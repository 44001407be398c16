"use client";

import { useRouter } from "next/navigation";
import { BENCH_PLACES } from "@/core/model/lists";
import { Field, SelectField } from "@/ui/form/field";
import { FormEnd } from "@/ui/form/form-end";
import { tellOtherTabs } from "@/ui/follow/channel";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { PageForm } from "@/ui/form/page-form";
import { saveTask } from "../actions";

const BLANK = { what: "", item: "", place: "home", due: "" };

/** A job of the owner's own. */
export function AddTask({ things }: { things: readonly (readonly [id: string, name: string])[] }) {
  const router = useRouter();
  const { field, submit, busy, wrong } = useAnsweredForm(
    BLANK,
    ({ what, item, place, due }) => saveTask({ what, place, item: item || null, due: due || null }),
    (_, added) => {
      added.reset(BLANK);
      tellOtherTabs();
      router.refresh();
    },
  );
  return (
    <PageForm onSend={submit(false)} className="no-print mb-5 flex flex-wrap items-start gap-2">
      <Field label="A job of your own" placeholder="sew on the hook" className="w-64" {...field("what")} />
      <SelectField
        label="on"
        className="w-52"
        {...field("item")}
        options={[["", "nothing in particular"], ...things]}
      />
      <SelectField label="where" className="w-32" {...field("place")} options={BENCH_PLACES} />
      <Field label="by" type="date" className="w-40" {...field("due")} />
      <FormEnd save="Add" look="btn btn-leaf mt-6 btn-tall" wrong={wrong} busy={busy} />
    </PageForm>
  );
}
