"use client";

import type { Settings } from "@/core/model";
import { listWords } from "@/core/units/speak";
import { KindNumbersForm } from "./kind-numbers";
import { Limits } from "./limits";
import type { NumbersFormProps } from "./numbers-props";
import { SchoolNumbers } from "./school-numbers";

/** The numbers of the trade, each with its default and source, that an owner may put their own in place of. */
export default function NumbersForm(props: NumbersFormProps) {
  const changed = changedIn(props.settings);
  return (
    <>
      <p className={changed.length > 0 ? "border-l-4 border-stem pl-4" : "hint"}>
        {changed.length > 0
          ? `Changed by you: ${listWords(changed)}. Everything else is the trade's own.`
          : "Below are the trade's own numbers. You have changed none of them."}
      </p>
      <SchoolNumbers {...props} />
      <Limits {...props} />
      <KindNumbersForm {...props} />
    </>
  );
}

/** Where the owner has put numbers of their own, in words. */
const changedIn = ({ schools, giveOut, terrain, kinds }: Settings): string[] => [
  ...Object.entries(schools)
    .filter(([, lines]) => Object.values(lines ?? {}).some((line) => line !== undefined))
    .map(([school]) => `the ${school} school's lines`),
  ...Object.entries(giveOut).flatMap(([what, limit]) => (limit === undefined ? [] : `the limit for ${what}`)),
  ...Object.entries(terrain).flatMap(([ground, wear]) => (wear === undefined ? [] : `wear on ${ground}`)),
  ...Object.keys(kinds),
];
