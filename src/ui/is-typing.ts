/** Is the key meant for a field or a dialog, not for the page? */
export function isTyping(event: KeyboardEvent | React.KeyboardEvent): boolean {
  const { target } = event;
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      target.closest(
        "input:not([type=checkbox],[type=radio],[type=button]), textarea, select, [role=dialog]",
      ) !== null)
  );
}
