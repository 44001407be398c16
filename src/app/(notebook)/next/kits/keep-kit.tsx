"use client";

import { useRouter } from "next/navigation";
import { Field, SelectField } from "@/ui/form/field";
import { FormEnd } from "@/ui/form/form-end";
import { tellOtherTabs } from "@/ui/follow/channel";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { PageForm } from "@/ui/form/page-form";
import { keepKit } from "./actions";

interface KeepKitProps {
  /** Lists that may be kept: by their key, in words. */
  readonly lists: readonly (readonly [key: string, words: string])[];
  readonly chosen: string;
}

/** Keeps a list by a name. */
export function KeepKit({ lists, chosen }: KeepKitProps) {
  const router = useRouter();
  const { field, submit, busy, wrong } = useAnsweredForm(
    { name: "", from: chosen },
    ({ name, from }) => keepKit(name, from),
    (_, form) => {
      form.reset({ name: "", from: chosen });
      tellOtherTabs();
      router.refresh();
    },
  );
  return (
    <PageForm onSend={submit(false)} className="no-print flex flex-wrap items-start gap-2">
      <SelectField label="Keep the list" className="w-72 max-w-full" {...field("from")} options={lists} />
      <Field label="as the kit" placeholder="Winter" className="w-52" {...field("name")} />
      <FormEnd save="Keep it" look="btn btn-leaf mt-6 btn-tall" wrong={wrong} busy={busy} />
    </PageForm>
  );
}
