interface RadioRowProps<Value extends string> {
  /** What is asked; the answers stand behind it. */
  readonly legend: React.ReactNode;
  readonly name: string;
  readonly choices: readonly (readonly [value: Value, words: string])[];
  readonly value: Value;
  readonly onChange: (value: Value) => void;
  readonly className?: string;
}

/** One question with a few answers in a row, one of which holds. */
export function RadioRow<Value extends string>({
  legend,
  name,
  choices,
  value,
  onChange,
  className = "",
}: RadioRowProps<Value>) {
  return (
    <fieldset className={className}>
      <legend className="float-left mr-3">{legend}</legend>
      {choices.map(([choice, words]) => (
        <label key={choice} className="mr-4 inline-flex items-center gap-2">
          <input
            type="radio"
            name={name}
            className="size-5"
            checked={value === choice}
            onChange={() => onChange(choice)}
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}
