import { givingWay, keptWith, type Reading } from "@/app/reading";
import { lookBack, lookedBackOn, scoreOf, type LookBack, type Score } from "@/core/seasons/score";
import { shareBetween } from "@/core/seasons/truth";
import { capital, count, percent } from "@/core/units/speak";
import { Section } from "@/ui/page/section";
import { Foreseen } from "./foreseen";

/** All is judged anew for each trip that is looked back on: the page goes out first, and others have their turns. */
const scored = keptWith(async ({ log, book }) => {
  const looks: LookBack[] = [];
  const giveWay = givingWay();
  for (const trip of lookedBackOn(log, book.today)) {
    await giveWay();
    looks.push(lookBack(log, trip, book.item));
  }
  return scoreOf(looks);
});

/** What it is reckoned from: what was said then, or what would be said today of what was known then. */
function sayJudged({ trips, asSaid }: Score): string {
  const anew = "judged anew as on its first morning, with nothing known of what came after.";
  if (asSaid === 0) return anew;
  const kept = "by what was said as its list was made";
  return asSaid === trips ? `${kept}.` : `${count(asSaid, "of them", "of them")} ${kept}, the others ${anew}`;
}

/** The tool's own score, in view: what was said before each trip, and what happened on it. */
export async function HowItCameOut({ reading }: { reading: Reading }) {
  const score = await scored(reading);
  if (score.trips === 0) return null;
  const { flagged, flaggedFailed, unflagged, unflaggedFailed, leftTaken, leftUsed, left, leftMissed } = score;
  return (
    <Section title="Verdicts that came true, and that did not" look="mt-8 max-w-4xl">
      <p className="hint mb-2">
        {score.trips === 1 ? "The last trip" : `Each of the last ${count(score.trips, "trip")}`}:{" "}
        {sayJudged(score)}
      </p>
      <ul className="mb-3">
        <li>
          Of what was flagged for repair or replacement and taken all the same,{" "}
          <b>{sayShare(flaggedFailed, flagged)}</b> went wrong on the trip; of what was not,{" "}
          <b>{sayShare(unflaggedFailed, unflagged)}</b>. {capital(count(unflaggedFailed, "thing"))} went wrong
          that nobody had flagged.
        </li>
        <li>
          Told to leave and taken: {leftTaken}; {leftUsed} of them were used. Told to leave and left: {left};{" "}
          {leftMissed} were missed.
        </li>
      </ul>
      <Foreseen truths={score.truths} />
    </Section>
  );
}

/** "33 % (4 of 12; 18 to 50 %)": a share, and where four in five of such lie. */
function sayShare(happened: number, of: number): string {
  if (of === 0) return "none (nothing was)";
  const [low, high] = shareBetween(happened, of);
  return `${percent(happened / of)} (${happened} of ${of}; ${Math.round(100 * low)} to ${percent(high)})`;
}
