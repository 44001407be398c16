"use client";

import { useState } from "react";
import {
  get,
  useForm,
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type Path,
  type PathValue,
  type UseFormReturn,
} from "react-hook-form";
import type { Answer } from "./answer";
import { typedBefore } from "./typed-before";

const OUT_OF_REACH: Answer<never> = {
  ok: false,
  fields: { "": "Not saved: the server can’t be reached. What you typed is still here." },
};

/** What a form's field is given: what it is called, what is typed, and what is wrong with it. */
export type FieldOf<T extends FieldValues> = ReturnType<typeof fieldsOf<T>>;

/**
 * A form whose answer comes from an action: what is wrong goes beside its field, what was typed stays, and a
 * question is put before anything unusual is kept.
 */
export function useAnsweredForm<T extends FieldValues, V>(
  defaultValues: DefaultValues<T>,
  send: (values: T, sure: boolean) => Promise<Answer<V>>,
  done: (value: V, form: UseFormReturn<T>) => void,
) {
  const form: UseFormReturn<T> = useForm<T>({ defaultValues });
  const [ask, setAsk] = useState<string>();
  const submit = (sure: boolean) =>
    form.handleSubmit(async (values) => {
      setAsk(undefined);
      const answer = await send(values, sure).catch(() => OUT_OF_REACH);
      if (answer.ok) return done(answer.value, form);
      setAsk(answer.ask);
      // The first wrong field has the focus.
      Object.entries(answer.fields).forEach(([field, message], n) =>
        form.setError((field || "root") as Path<T>, { message }, { shouldFocus: n === 0 }),
      );
    });
  const { isSubmitting: busy, errors } = form.formState;
  return { form, field: fieldsOf(form), ask, submit, busy, wrong: errors.root?.message };
}

const fieldsOf =
  <T extends FieldValues>({ register, setValue, formState: { errors, defaultValues } }: UseFormReturn<T>) =>
  (name: Path<T>) => {
    const { ref, ...registered } = register(name);
    const first: unknown = get(defaultValues, name);
    return {
      ...registered,
      ref: (element: HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement | null) => {
        const typed = typedBefore(element);
        ref(element);
        if (typed !== null) setValue(name, typed as PathValue<T, Path<T>>);
      },
      // It is there before the page listens, to be read and to be typed over.
      ...(typeof first === "string" && { defaultValue: first }),
      error: messageIn(errors, name),
    };
  };

/** What is wrong with a field, or with a part of what it is read as. */
function messageIn(errors: FieldErrors, name: string): string | undefined {
  const wrong: unknown = get(errors, name);
  if (!isRecord(wrong)) return undefined;
  const [first] = "message" in wrong ? [wrong] : Object.values(wrong).filter(isRecord);
  return typeof first?.message === "string" ? first.message : undefined;
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null;
