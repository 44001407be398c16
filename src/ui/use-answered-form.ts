"use client";

import { useState } from "react";
import {
  useForm,
  type DefaultValues,
  type FieldValues,
  type Path,
  type UseFormReturn,
} from "react-hook-form";
import type { Answer } from "./answer";

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
      const answer = await send(values, sure).catch((): Answer<V> => ({
        ok: false,
        fields: { "": "Not saved: the server can’t be reached. What you typed is still here." },
      }));
      if (answer.ok) return done(answer.value, form);
      setAsk(answer.ask);
      // The first wrong field has the focus.
      Object.entries(answer.fields).forEach(([field, message], n) =>
        form.setError((field || "root") as Path<T>, { message }, { shouldFocus: n === 0 }),
      );
    });
  return { form, ask, submit, busy: form.formState.isSubmitting, wrong: form.formState.errors.root?.message };
}
