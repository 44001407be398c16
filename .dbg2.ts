import { openBook } from "@/core/ledger/book";
import { survey, openCase } from "@/core/decide/case";
import { chooseByLife } from "@/core/decide/choose";
import { judgeCase } from "@/core/reasons/judge";
import { logOf } from "./tests/histories";
import { one } from "./tests/judged";
for (const [kind, open] of [["poles", 3800], ["poles", 4200], ["socks", 1500], ["socks", 2000],["boots",1700]] as const)
  for (let n = 1; n <= 5; n++) {
    const log = logOf(one({ kind, past: "known", opening: { distance: `${open} km` } }, n, () => ({})));
    const book = openBook(log, "2026-11-24");
    const c = openCase(book.items[0]!, survey(book));
    const ch = chooseByLife(c);
    console.log(kind, open, n, ch?.best, ch?.margin.toFixed(2), judgeCase(c).verdicts.map((v) => v.verb + ":" + v.reason).join(", "), c.left!.givesOut.toFixed(3), c.left!.worn, c.left!.median.toFixed(0));
  }
