import type { ReactNode } from "react";

interface PageFormProps {
  readonly onSend: () => void;
  readonly className?: string;
  readonly children: ReactNode;
}

/**
 * A form that is read in the page: Enter or its button sends it, its own words say what is wrong, nothing is
 * loaded anew.
 */
export function PageForm({ onSend, className, children }: PageFormProps) {
  return (
    <form
      noValidate
      className={className}
      onSubmit={(event) => {
        event.preventDefault();
        onSend();
      }}
    >
      {children}
    </form>
  );
}
