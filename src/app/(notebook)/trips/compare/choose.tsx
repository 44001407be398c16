"use client";

import { useRouter } from "next/navigation";
import { SelectField } from "@/ui/form/field";

/** The two lists that stand side by side; changed as they are chosen. */
export function Choose({
  a,
  b,
  options,
}: {
  a: string;
  b: string;
  options: readonly (readonly [id: string, name: string])[];
}) {
  const router = useRouter();
  const go = (ids: { a: string; b: string }) => router.push(`/trips/compare?${new URLSearchParams(ids)}`);
  return (
    <div className="grid max-w-2xl gap-3 sm:grid-cols-[1fr_1fr_auto]">
      <SelectField
        label="This list"
        value={a}
        options={options}
        onChange={(event) => go({ a: event.target.value, b })}
      />
      <SelectField
        label="against that one"
        value={b}
        options={options}
        onChange={(event) => go({ a, b: event.target.value })}
      />
      <button type="button" className="btn self-end" onClick={() => go({ a: b, b: a })}>
        Turn round
      </button>
    </div>
  );
}
