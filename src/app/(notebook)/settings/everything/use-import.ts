import { nanoid } from "nanoid";
import { useRef, useState } from "react";

/** What a file holds, beside what is here. */
export interface Look {
  readonly items: number;
  readonly trips: number;
  readonly newItems: number;
  readonly newTrips: number;
  readonly same: boolean;
  /** What an earlier version had let in, and is put right. */
  readonly mended: readonly string[];
}

/** What the server answers a file: what it holds, or why it can't be used. */
type FileAnswer = Look & { readonly problems?: readonly string[]; readonly stopped?: boolean };

/** How many trips of a file are in, and of how many. */
export interface Far {
  readonly done: number;
  readonly of: number;
}

/** How often it is asked how far an import has come, in ms. */
const ASKED_MS = 300;

/** How far an import has come; undefined before the first trip is in, and where it is over. */
const howFar = async (id: string): Promise<Far | undefined> => {
  const told = await fetch(`/api/log/${id}`)
    .then((response): Promise<Far> | undefined => (response.ok ? response.json() : undefined))
    .catch(() => undefined);
  return told && told.of > 0 ? told : undefined;
};

/** Sends a file to be looked at or brought in, tells how far it is, and stops it. */
export function useImport() {
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const [stopped, setStopped] = useState(false);
  const [far, setFar] = useState<Far>();
  const under = useRef("");
  const send = async (file: File, how: "look" | "add" | "replace"): Promise<Look | null> => {
    setBusy(true);
    setStopped(false);
    setProblems([]);
    const id = nanoid();
    under.current = id;
    const asking = setInterval(() => void howFar(id).then(setFar), ASKED_MS);
    try {
      const response = await fetch(`/api/log?${how}&import=${id}`, { method: "POST", body: file });
      const told: FileAnswer = await response.json();
      setProblems(told.problems ?? []);
      setStopped(told.stopped ?? false);
      return response.ok ? told : null;
    } catch {
      setProblems(["The server can’t be reached. Nothing was changed."]);
      return null;
    } finally {
      clearInterval(asking);
      setFar(undefined);
      setBusy(false);
    }
  };
  const stop = () => fetch(`/api/log/${under.current}`, { method: "DELETE" }).catch(() => undefined);
  return { problems, busy, stopped, far, send, stop };
}
