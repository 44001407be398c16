import { useEffect, useState } from "react";
import type { ItemId, Urgency, Verb } from "@/core/model";
import type { Answer } from "@/ui/form/answer";

/** A verdict that would be another, as much of it as is shown. */
export interface ToldChange {
  readonly item: ItemId;
  readonly name: string;
  readonly from: { readonly verb: Verb; readonly urgency: Urgency };
  readonly to: { readonly verb: Verb; readonly urgency: Urgency; readonly says: string };
}

/** Typing goes on for so long before the engine is asked. */
const PAUSE_MS = 250;

type WhatIfAnswer = Answer<readonly ToldChange[]>;
const OUT_OF_REACH: WhatIfAnswer = { ok: false, fields: { "": "The server can’t be reached." } };

/** What would change, asked of the server once typing pauses; null: nothing is supposed, or no answer is here yet. */
export function useWhatIf(asked: object | null): WhatIfAnswer | null {
  const [told, setTold] = useState<WhatIfAnswer | null>(null);
  const body = asked && JSON.stringify(asked);
  useEffect(() => {
    if (!body) return;
    const stop = new AbortController();
    const ask = async () => {
      const answer = await fetch("/api/what-if", { method: "POST", body, signal: stop.signal })
        .then((response): Promise<WhatIfAnswer> => response.json())
        .catch(() => OUT_OF_REACH);
      if (!stop.signal.aborted) setTold(answer);
    };
    const wait = setTimeout(() => void ask(), PAUSE_MS);
    return () => {
      clearTimeout(wait);
      stop.abort();
    };
  }, [body]);
  return body ? told : null;
}
