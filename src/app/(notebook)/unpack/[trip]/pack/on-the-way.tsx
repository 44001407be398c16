"use client";

import { useEffect, useRef } from "react";
import type { ItemId, TripId } from "@/core/model";
import { HOW_COME, type HowCome } from "@/core/shelf/how-come";
import { Field, SelectField } from "@/ui/form/field";
import { FormEnd } from "@/ui/form/form-end";
import { tellOtherTabs } from "@/ui/follow/channel";
import { useAnsweredForm } from "@/ui/form/use-answered-form";
import { useRefresh } from "@/ui/follow/use-refresh";
import { PageForm } from "@/ui/form/page-form";
import { joinOnTheWay } from "../../actions";
import type { Thing } from "./pockets";
import type { Way } from "../panel/where-it-was";

const NONE = "";
const BOUGHT: HowCome = "bought";

interface OnTheWayProps {
  readonly trip: TripId;
  readonly way: Way;
  readonly things: readonly Thing[];
  /** The thing that joined, or null where nothing did. */
  readonly onClose: (joined: ItemId | null) => void;
}

/** A thing bought, found or borrowed on the way: one line, from which leg on, and whose place it took. */
export function OnTheWay({ trip, way, things, onClose }: OnTheWayProps) {
  const refresh = useRefresh();
  const box = useRef<HTMLFormElement>(null);
  useEffect(() => box.current?.querySelector("input")?.focus(), []);
  const { form, field, submit, busy, wrong } = useAnsweredForm(
    { line: "", how: BOUGHT, owner: "", from: way.legs.at(-1)?.id ?? NONE, after: NONE },
    ({ line, how, owner, from, after }) =>
      joinOnTheWay(trip, {
        line,
        how,
        owner: owner.trim() || null,
        from: from === NONE ? null : from,
        after: after === NONE ? null : after,
      }),
    (joined) => {
      tellOtherTabs();
      void refresh().then(() => onClose(joined));
    },
  );
  return (
    <PageForm
      ref={box}
      aria-label="Bought or found on the way"
      className="mt-4 border-l-4 border-leaf pl-4"
      onSend={submit(false)}
      onKeyDown={(event) => event.key === "Escape" && onClose(null)}
    >
      <div className="flex flex-wrap items-start gap-3">
        <Field
          label="What joined on the way"
          className="min-w-64 flex-1"
          placeholder="trail shoes, pair 2 620 g"
          autoComplete="off"
          {...field("line")}
        />
        <SelectField label="It was" className="w-36" options={HOW_COME} {...field("how")} />
        {form.watch("how") === "borrowed" && (
          <Field label="Whose it is" className="w-36" maxLength={60} {...field("owner")} />
        )}
        {way.legs.length > 1 && (
          <SelectField
            label="From"
            className="w-40"
            options={way.legs.map(({ id, name }) => [id, name] as const)}
            {...field("from")}
          />
        )}
        <SelectField
          label="It took over from"
          className="w-56"
          options={[[NONE, "nothing"], ...things.map(({ id, name }) => [id, name] as const)]}
          {...field("after")}
        />
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <FormEnd save="Put it in" look="btn btn-leaf" wrong={wrong} busy={busy} />
        <button type="button" className="btn btn-plain" onClick={() => onClose(null)}>
          Cancel
        </button>
      </div>
    </PageForm>
  );
}
