import type { ComponentProps } from "react";

interface PageFormProps extends Omit<
  ComponentProps<"form">,
  "onSubmit" | "method" | "action" | "noValidate"
> {
  readonly onSend: () => unknown;
}

/**
 * A form that is read in the page: Enter or its button sends it, its own words say what is wrong, nothing is
 * loaded anew. Until the page listens, sending does nothing, and what was typed stays: that is what a form of this
 * method does outside a dialogue (HTML, “form submission algorithm”, step 11, from memory).
 */
export const PageForm = ({ onSend, ...form }: PageFormProps) => (
  <form
    {...form}
    method="dialog"
    noValidate
    onSubmit={(event) => {
      event.preventDefault();
      onSend();
    }}
  />
);
