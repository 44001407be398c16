import { useState, useTransition, type RefObject } from "react";
import { tellWrong } from "@/ui/notice/notice";
import type { Ruling } from "@/core/model";
import { refuse, whatIsWrong, type Answer } from "@/ui/form/answer";
import { tellOtherTabs } from "@/ui/follow/channel";
import { sayWithUndo, UNREACHED } from "@/ui/notice/undo";
import { useRefresh } from "@/ui/follow/use-refresh";
import { done, rule, undone, unrule } from "../actions";
import type { SlipData } from "./slip-data";
import { focusSlip } from "./slip-keys";

/** What a ruling says: agreed, later, or overruled with a reason and when to ask again. */
type Decided = Pick<Ruling, "decision" | "reason" | "again">;

const SAYS: Readonly<Record<Ruling["decision"], string>> = {
  agree: "agreed",
  later: "asked again after the next trip",
  overrule: "your ruling stands",
};

/**
 * Rules on a slip, or follows it; afterwards the focus goes on to the next one.
 *
 * @param isOpen the form of overruling is: what stands against it is said there, not in passing
 */
export function useRuling(
  { about, name, ruling }: SlipData,
  box: RefObject<HTMLElement | null>,
  isOpen: boolean,
  close: () => void,
) {
  const refresh = useRefresh();
  const [busy, start] = useTransition();
  const [error, setError] = useState<string>();
  const slip = () => box.current?.closest<HTMLElement>("[data-slip]");
  const settle = (says: string, undo: () => Promise<Answer<unknown>>) => {
    close();
    const here = slip();
    if (here) focusSlip(here);
    tellOtherTabs();
    void refresh();
    sayWithUndo(says, undo, () => void refresh());
  };
  /** Runs an action; where it is refused or the server is gone, says so and changes nothing. */
  const act = <T>(work: () => Promise<Answer<T>>, then: (value: T) => void) =>
    start(async () => {
      const answer = await work().catch((): Answer<T> => refuse({ "": UNREACHED }));
      if (answer.ok) then(answer.value);
      else if (isOpen) setError(whatIsWrong(answer));
      else tellWrong(whatIsWrong(answer));
    });
  const decide = (decided: Decided) =>
    act(
      () => rule(about, decided),
      (id) => settle(`${name}: ${SAYS[decided.decision]}`, () => unrule(id)),
    );
  const follow = (grade: number | null) => {
    if (!("item" in about)) return;
    act(
      () => done(about, grade),
      ({ undo, says }) => settle(says, () => undone(undo)),
    );
  };
  const takeBack = () => {
    if (!ruling) return;
    act(
      () => unrule(ruling.id),
      () => {
        slip()?.focus();
        tellOtherTabs();
        void refresh();
      },
    );
  };
  return { busy, error, decide, follow, takeBack };
}
