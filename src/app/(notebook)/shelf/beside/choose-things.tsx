"use client";

import { useRouter } from "next/navigation";
import { SelectField } from "@/ui/form/field";
import { nth } from "@/core/sums/there";

const WORDS = ["This", "beside that", "and that"];

/** What stands side by side; changed as it is chosen. */
export function ChooseThings({
  of,
  options,
  most,
}: {
  of: readonly string[];
  options: readonly (readonly [id: string, name: string])[];
  most: number;
}) {
  const router = useRouter();
  const places = Array.from({ length: Math.min(most, Math.max(2, of.length + 1)) }, (_, n) => of[n] ?? "");
  const choose = (place: number, id: string) => {
    const next = places.map((each, n) => (n === place ? id : each)).filter((each) => each !== "");
    router.push(`/shelf/beside?${new URLSearchParams(next.map((each) => ["of", each]))}`);
  };
  return (
    <div className="grid max-w-3xl gap-3 sm:grid-cols-3">
      {places.map((id, n) => (
        <SelectField
          key={n}
          label={nth(WORDS, n)}
          value={id}
          options={[["", "choose …"], ...options]}
          onChange={(event) => choose(n, event.target.value)}
        />
      ))}
    </div>
  );
}
