import { useEffect, useEffectEvent, type ChangeEvent, type ChangeEventHandler } from "react";

const met = new WeakSet<Element>();

/**
 * What stood in a field before the page listened to it, where somebody had typed there; null: nobody had. Told once.
 */
export function typedBefore(field: Element | null): string | null {
  if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || met.has(field))
    return null;
  met.add(field);
  return field.value !== field.defaultValue ? field.value : null;
}

/** Hands what was typed before the page listened to who holds a field's value. */
export function useTypedBefore<Box extends HTMLInputElement | HTMLTextAreaElement>(
  id: string,
  { value, onChange }: { readonly value?: unknown; readonly onChange?: ChangeEventHandler<Box> },
): void {
  const hand = useEffectEvent(() => {
    const box = document.getElementById(id) as Box | null;
    if (value === undefined || !box || typedBefore(box) === null) return;
    onChange?.({ target: box, currentTarget: box } as ChangeEvent<Box, Box>);
  });
  useEffect(() => hand(), []);
}
