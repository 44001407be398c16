import { nanoid } from "nanoid";
import { useCallback, useEffect, useState } from "react";
import type { TripId } from "@/core/model";
import { tellOtherTabs } from "@/ui/follow/channel";
import { keepPage } from "./use-offline";
import { forgetLines, keepLine, keptLines, sendLines, type KeptLine } from "./field-store";

/** How often to try again while lines wait, in ms. */
const TRY_AGAIN_MS = 5000;

/** The page that the lines are written on. */
const PAGE = "/trail";

const NOTHING_KEPT =
  "This browser keeps nothing for this page: lines can only be written while the server answers.";

/**
 * Forgets lines that the server's page shows. The page that opens without a network has to show them first:
 * the one that was kept before they were sent does not.
 */
async function letGo(lines: readonly string[]): Promise<void> {
  if (navigator.serviceWorker?.controller) await keepPage(PAGE);
  await forgetLines(lines);
}

/**
 * The lines that this phone keeps: written here first, sent as soon as the server answers, and forgotten once
 * its page shows them.
 *
 * @param there the lines that the server's page shows by itself: their words by their id
 */
export function useFieldLines(there: ReadonlyMap<string, string>) {
  const [kept, setKept] = useState<readonly KeptLine[]>([]);
  const [wrong, setWrong] = useState<string>();
  const look = useCallback(async () => {
    try {
      setKept(await keptLines());
    } catch {
      setWrong(NOTHING_KEPT);
    }
  }, []);
  const send = useCallback(async () => {
    try {
      if (await sendLines()) tellOtherTabs();
    } catch {
      // Out of reach: the lines wait.
    }
    await look();
  }, [look]);
  const waiting = kept.filter(({ sent, refused }) => !sent && !refused).length;
  useEffect(() => {
    const go = () => void send();
    const first = setTimeout(go);
    window.addEventListener("online", go);
    return () => {
      clearTimeout(first);
      window.removeEventListener("online", go);
    };
  }, [send]);
  useEffect(() => {
    if (waiting === 0) return;
    const again = setInterval(() => void send(), TRY_AGAIN_MS);
    return () => clearInterval(again);
  }, [waiting, send]);
  useEffect(() => {
    const isThere = ({ id, text, change }: KeptLine) =>
      change === "deleted" ? !there.has(id) : there.get(id) === text;
    const done = kept.filter((line) => line.sent && isThere(line)).map(({ id }) => id);
    if (done.length > 0) void letGo(done).then(look, () => undefined);
  }, [there, kept, look]);
  /** Keeps a line on the phone, and sends it; why not, where the phone refuses. */
  const keep = async (line: KeptLine): Promise<string | null> => {
    try {
      await keepLine(line);
    } catch (error) {
      const why = error instanceof Error && error.name === "QuotaExceededError" ? "it is full" : "it refuses";
      return `This phone can't keep the line: ${why}. It stays here; copy it, or make room.`;
    }
    await look();
    void send();
    return null;
  };
  const write = (trip: TripId, text: string) =>
    keep({
      id: nanoid(),
      at: new Date().toISOString(),
      text,
      taken: false,
      told: null,
      change: null,
      trip,
      sent: false,
    });
  return { kept, waiting, wrong, write, keep };
}
