"use client";

import { useEffect, useState } from "react";
import type { FieldValues, UseFormReturn } from "react-hook-form";

/** After the last key, how long to wait before a draft is kept, in ms. */
const QUIET_MS = 250;

/** Drafts about to be kept, by their keys. */
const waiting = new Map<string, ReturnType<typeof setTimeout>>();

/** It has been saved, or is not wanted. */
export function forgetDraft(key: string): void {
  clearTimeout(waiting.get(key));
  localStorage.removeItem(key);
}

function kept<T>(key: string): T | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "null") as T | null;
  } catch {
    return null;
  }
}

/**
 * Keeps what is typed into a form in this browser until it is saved: it outlives a reload, the way back, and
 * the server.
 *
 * @param key where it is kept; null: nowhere
 * @returns whether a draft from before was brought back, and how to start afresh
 */
export function useDraft<T extends FieldValues>(
  key: string | null,
  { reset, watch, getValues }: UseFormReturn<T>,
): { readonly restored: boolean; readonly startAfresh: () => void } {
  const [restored, setRestored] = useState(false);
  useEffect(() => {
    const draft = key && kept<T>(key);
    if (!draft) return;
    // A draft of an older form lacks what was asked since.
    reset({ ...getValues(), ...draft }, { keepDefaultValues: true });
    const told = setTimeout(() => setRestored(true));
    return () => clearTimeout(told);
  }, [key, reset, getValues]);
  useEffect(() => {
    if (!key) return;
    const { unsubscribe } = watch((values) => {
      clearTimeout(waiting.get(key));
      waiting.set(
        key,
        setTimeout(() => localStorage.setItem(key, JSON.stringify(values)), QUIET_MS),
      );
    });
    return unsubscribe;
  }, [key, watch]);
  const startAfresh = () => {
    reset();
    if (key) forgetDraft(key);
    setRestored(false);
  };
  return { restored, startAfresh };
}
