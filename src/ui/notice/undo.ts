import { whatIsWrong, type Answer } from "../form/answer";
import { tell, tellWrong } from "./notice";

/** Said where an action never answered. */
export const UNREACHED = "Not saved: the server can’t be reached.";

/** Says what was done, with the press that takes it back, and `then` follows; where it can't be taken back, why. */
export function sayWithUndo(says: string, undo: () => Promise<Answer<unknown>>, then: () => void): void {
  const takeBack = async () => {
    const answer = await undo().catch(() => null);
    if (!answer?.ok) tellWrong(answer ? whatIsWrong(answer) : UNREACHED);
    then();
  };
  tell(says, () => void takeBack());
}
