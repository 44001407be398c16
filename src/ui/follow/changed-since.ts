import { listWords } from "@/core/units/speak";

/** Fields of a record that are other than they were when a form was opened. */
export function changedSince(seen: object, now: object): string[] {
  const [before, after] = [new Map(Object.entries(seen)), new Map(Object.entries(now))];
  return [...new Set([...before.keys(), ...after.keys()])].filter(
    (field) => JSON.stringify(before.get(field)) !== JSON.stringify(after.get(field)),
  );
}

/** What is put to an owner whose form is older than the record. */
export const askAbout = (fields: readonly string[]) =>
  `It was changed elsewhere since this form was opened (${listWords(fields)}). ` +
  `What stands here takes the place of that. Save it?`;
