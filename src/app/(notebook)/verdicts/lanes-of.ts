import { isPutAside, type Advice, type Verdict } from "@/core/advice/advise";
import type { Kit } from "@/core/advice/kit";
import { URGENCIES, type Urgency } from "@/core/model";
import { says } from "@/core/say/verdicts/says";
import { stays } from "@/core/trade/verbs";
import type { PlainLine } from "./folded";
import { additionSlipOf, slipOf, type SlipData } from "./slip/slip-data";

interface LaneData {
  readonly name: string;
  readonly about: string;
  readonly sting?: boolean;
  readonly slips: readonly SlipData[];
}

const LANES: Readonly<Record<Urgency, Pick<LaneData, "name" | "about">>> = {
  now: { name: "Must not go out as it is", about: "" },
  "before next trip": { name: "Before the next trip", about: "" },
  "when convenient": { name: "When convenient", about: "" },
  watch: { name: "To keep in mind", about: "seasonal things, and what is to be watched" },
};

/** All that is said of a kit, as the page of verdicts lays it out. */
export function lanesOf(kit: Kit) {
  const slips = kit.things.flatMap((advice) => advice.verdicts.map((verdict) => ({ advice, verdict })));
  const added = kit.toAdd.map((addition) => additionSlipOf(addition, kit.book));
  const open = [
    ...slips.filter(({ advice, verdict }) => advice.asks.includes(verdict)).map(slipOf),
    ...added.filter(({ aside }) => !aside),
  ];
  const settled = [
    ...slips.filter(({ verdict }) => isPutAside(verdict)).map(slipOf),
    ...added.filter(({ aside }) => aside),
  ];
  const lanes: LaneData[] = [
    ...URGENCIES.map((urgency) => ({
      ...LANES[urgency],
      sting: urgency === "now",
      slips: open.filter((slip) => slip.urgency === urgency && slip.sureness !== "leaning"),
    })),
    {
      name: "Leanings",
      about: "said once; one more trip like it settles each",
      slips: open.filter(({ sureness }) => sureness === "leaning"),
    },
  ];
  return {
    toRule: open.filter(({ ruling }) => ruling === null).length,
    lanes: lanes.filter((lane) => lane.slips.length > 0),
    settled,
    gone: slips.filter(({ verdict }) => verdict.done).map(({ advice, verdict }) => lineOf(advice, verdict)),
    kept: kit.things
      .filter(({ case: { standing }, verdicts: [lead] }) => standing === "active" && stays(lead.verb))
      .map((advice) => lineOf(advice, advice.verdicts[0])),
  };
}

const lineOf = (advice: Advice, verdict: Verdict): PlainLine => ({
  item: advice.case.item.id,
  name: advice.case.item.name,
  verb: verdict.verb,
  says: says(advice.case, verdict),
});
