"use client";

import { useId, type ComponentProps, type ReactNode } from "react";
import { useTypedBefore } from "./typed-before";

interface FieldProps {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly error?: string;
  readonly className?: string;
}

/** A labelled field with its hint and, beside it, what is wrong with it. */
export function Field({ label, hint, error, className, ...input }: FieldProps & ComponentProps<"input">) {
  const { id, described } = useDescribed(hint, error);
  useTypedBefore(id, input);
  return (
    <Framed {...{ id, label, hint, error, className }}>
      <input
        id={id}
        aria-invalid={error ? true : undefined}
        aria-describedby={described}
        className="field"
        {...input}
      />
    </Framed>
  );
}

export function TextField({
  label,
  hint,
  error,
  className,
  ...input
}: FieldProps & ComponentProps<"textarea">) {
  const { id, described } = useDescribed(hint, error);
  useTypedBefore(id, input);
  return (
    <Framed {...{ id, label, hint, error, className }}>
      <textarea
        id={id}
        rows={3}
        aria-invalid={error ? true : undefined}
        aria-describedby={described}
        className="field"
        {...input}
      />
    </Framed>
  );
}

/** What was chosen, as one of the values that there were to choose from. */
export const oneOf = <T extends string>(values: readonly T[], chosen: string): T | undefined =>
  values.find((value) => value === chosen);

/** A choice of one. Options are values, or pairs of a value and what to call it. */
export function SelectField({
  label,
  hint,
  error,
  className,
  options,
  ...select
}: FieldProps &
  ComponentProps<"select"> & { options: readonly (string | readonly [value: string, name: string])[] }) {
  const { id, described } = useDescribed(hint, error);
  return (
    <Framed {...{ id, label, hint, error, className }}>
      <select
        id={id}
        aria-invalid={error ? true : undefined}
        aria-describedby={described}
        className="field"
        {...select}
      >
        {options.map((option) => {
          const [value, name] = typeof option === "string" ? [option, option] : option;
          return (
            <option key={value} value={value}>
              {name}
            </option>
          );
        })}
      </select>
    </Framed>
  );
}

function useDescribed(hint: ReactNode, error: string | undefined) {
  const id = useId();
  return {
    id,
    described: [hint ? `${id}-hint` : "", error ? `${id}-error` : ""].filter(Boolean).join(" ") || undefined,
  };
}

function Framed({
  id,
  label,
  hint,
  error,
  className,
  children,
}: FieldProps & { id: string; children: ReactNode }) {
  return (
    <div className={className}>
      <label htmlFor={id} className="label">
        {label}
      </label>
      {children}
      {hint && (
        <p id={`${id}-hint`} className="hint mt-0.5">
          {hint}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} className="error mt-0.5">
          {error}
        </p>
      )}
    </div>
  );
}
