import type { z } from "zod";

/** What to mend, by field; or a question to confirm. */
export interface No {
  readonly ok: false;
  readonly fields: Readonly<Record<string, string>>;
  readonly ask?: string;
}

/** What an action answers a form: done, or no. */
export type Answer<T = undefined> = { readonly ok: true; readonly value: T } | No;

export const refuse = (fields: Record<string, string>): No => ({ ok: false, fields });

/** The first thing wrong with each field; `""` for the form as a whole. */
export function byField(error: z.core.$ZodError): Record<string, string> {
  const fields: Record<string, string> = {};
  for (const { path, message } of error.issues) fields[path.join(".")] ??= message;
  return fields;
}

/** A record that can't be, told under one field: the first thing wrong with it. */
export const refuseAs = (field: string, { issues }: z.core.$ZodError): No =>
  refuse({ [field]: issues[0]?.message ?? "" });

/** The same answer by the form's own fields, where the record keeps in a list or a pair what the form asks as one. */
export const byFormField = <T>(answer: Answer<T>, nameOf: (path: string) => string): Answer<T> =>
  answer.ok
    ? answer
    : {
        ...answer,
        fields: Object.fromEntries(
          Object.entries(answer.fields).map(([path, message]) => [nameOf(path), message]),
        ),
      };

/** The first thing that stands against it, in a sentence; blank: nothing does. */
export const whatIsWrong = (answer: Answer<unknown>): string =>
  answer.ok ? "" : (Object.values(answer.fields)[0] ?? "");
