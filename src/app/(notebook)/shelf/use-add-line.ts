import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import { sayWithUndo } from "@/ui/notice/undo";
import type { ItemId } from "@/core/model";
import type { OlderIs } from "@/core/shelf/how-come";
import { tellOtherTabs } from "@/ui/follow/channel";
import { addLine, takeLineBack } from "./actions";

/** The thing that a new one takes over from, and what has become of it. */
export interface Older {
  readonly item: ItemId;
  readonly is: OlderIs;
}

/** Puts a line on the shelf; what is wrong with it or unusual about it stays to be seen to. */
export function useAddLine(added: () => void) {
  const router = useRouter();
  const [error, setError] = useState<string>();
  const [ask, setAsk] = useState<string>();
  const [busy, start] = useTransition();
  const send = (line: string, older: Older | null, sure: boolean) =>
    start(async () => {
      const answer = await addLine(line, older, sure).catch(() => null);
      if (!answer) return setError("Not saved: the server can’t be reached. What you typed is still here.");
      setError(answer.ok ? undefined : answer.fields.line);
      setAsk(answer.ok ? undefined : answer.ask);
      if (!answer.ok) return;
      const { id, name, older: before } = answer.value;
      added();
      tellOtherTabs();
      router.refresh();
      sayWithUndo(
        `${name} is on the shelf`,
        () => takeLineBack(id, before),
        () => router.refresh(),
      );
    });
  const forget = () => {
    setError(undefined);
    setAsk(undefined);
  };
  return { error, ask, busy, send, forget };
}
