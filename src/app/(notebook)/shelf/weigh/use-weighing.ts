import { useRouter } from "next/navigation";
import { useState } from "react";
import { tellOtherTabs } from "@/ui/follow/channel";
import { sayWithUndo } from "@/ui/notice/undo";
import { restoreItems, saveWeighing } from "../actions";
import { beginWeighing, goTo, unweighed, weighed, type Thing } from "./weighing";

/**
 * The row of things to weigh: which is on the scale, what it weighed, and what was wrong with that.
 *
 * @param onGo another thing is on the scale now
 */
export function useWeighing(things: readonly Thing[], onGo: () => void) {
  const router = useRouter();
  const [weighing, setWeighing] = useState(() => beginWeighing(things));
  const [wrong, setWrong] = useState<string>();
  const current = weighing.order[weighing.at];
  const go = (to: number) => {
    onGo();
    setWeighing((now) => goTo(now, to));
    setWrong(undefined);
  };
  /** Saves a weight as it was typed or read; true: it is kept. */
  const save = async (text: string, grams: number | null): Promise<boolean> => {
    if (!current) return false;
    const { id, name } = current;
    const answer = await saveWeighing(id, text).catch(() => null);
    if (!answer?.ok) {
      setWrong(
        answer ? answer.fields.weight : "Not saved: the server can’t be reached. The reading is still here.",
      );
      return false;
    }
    setWeighing((now) => weighed(now, id, grams));
    tellOtherTabs();
    router.refresh();
    sayWithUndo(
      `${name}: ${text}`,
      () => restoreItems(answer.value),
      () => {
        setWeighing((now) => unweighed(now, id));
        router.refresh();
      },
    );
    go(weighing.at + 1);
    return true;
  };
  return { weighing, current, wrong, setWrong, go, save };
}
