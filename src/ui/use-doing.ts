"use client";

import { useRouter } from "next/navigation";
import { useTransition } from "react";
import { tell, tellWrong } from "@/ui/notice/notice";
import { whatIsWrong, type Answer } from "./form/answer";
import { tellOtherTabs } from "./follow/channel";
import { sayWithUndo, UNREACHED } from "./notice/undo";

/** What is said of a thing done, and how it is taken back. */
interface Says<T> {
  readonly says: (value: T) => string;
  readonly undo?: (value: T) => Promise<Answer<unknown>>;
}

/**
 * Does what was pressed: says what came of it, with its undo, or what stood against it; pages here and in
 * other tabs follow.
 */
export function useDoing() {
  const router = useRouter();
  const [busy, start] = useTransition();
  /** @param first what shows at once, before the answer */
  const run = <T>(action: () => Promise<Answer<T>>, told?: Says<T>, first?: () => void) =>
    start(async () => {
      first?.();
      const answer = await action().catch(() => null);
      if (!answer?.ok) return tellWrong(answer ? whatIsWrong(answer) : UNREACHED);
      tellOtherTabs();
      router.refresh();
      if (!told) return;
      const { says, undo } = told;
      if (undo)
        sayWithUndo(
          says(answer.value),
          () => undo(answer.value),
          () => router.refresh(),
        );
      else tell(says(answer.value));
    });
  return { busy, run };
}
