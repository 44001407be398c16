interface FormEndProps {
  /** What the button says. */
  readonly save: string;
  /** What it says where a question was put. */
  readonly saveAnyhow?: string;
  readonly wrong: string | undefined;
  readonly ask?: string | undefined;
  readonly busy: boolean;
  readonly onSure?: () => void;
  readonly look?: string;
}

/** Below a form: what is wrong with it as a whole, the question that it waits for, and the button that sends it. */
export function FormEnd({ save, saveAnyhow, wrong, ask, busy, onSure, look = "btn" }: FormEndProps) {
  return (
    <>
      {wrong && (
        <p role="alert" className="error">
          {wrong}
        </p>
      )}
      {ask ? (
        <p role="alert" className="flex flex-wrap items-center gap-2 border-l-4 border-catkin-strong pl-3">
          {ask}
          <button type="button" className="btn" onClick={onSure}>
            {saveAnyhow}
          </button>
        </p>
      ) : (
        <button className={look} disabled={busy}>
          {save}
        </button>
      )}
    </>
  );
}
