import type { Metadata } from "next";
import { cookies } from "next/headers";
import { PageHead } from "@/ui/page/page-head";
import { Stroke, STROKES } from "@/ui/stroke/stroke";
import { ownLives } from "@/core/compare/own-lives";
import type { Kit } from "@/core/advice/kit";
import type { ItemId } from "@/core/model";
import { readBook } from "@/app/book";
import { schoolEffects } from "./school-effects";
import { Everything } from "./everything/everything";
import { pairings } from "@/data/records/pairings";
import { Paired } from "./paired";
import { sayTaste } from "@/core/say/verdicts/taste";
import { Learned } from "./learned";
import { SettingsForm } from "./settings-form";
import { entriesOf } from "@/core/sums/keys";

export const metadata: Metadata = { title: "Settings" };

/** The name of a thing that has not left. */
const nameHere = (kit: Kit, id: ItemId) => {
  const one = kit.of(id)?.case;
  return one?.standing === "gone" ? undefined : one?.item.name;
};

export default async function SettingsPage() {
  const reading = await readBook();
  const { log, kit, book } = reading;
  const theme = (await cookies()).get("theme")?.value ?? "system";
  return (
    <>
      <PageHead title="Settings" />
      <div className="max-w-4xl space-y-8 pb-10">
        <SettingsForm
          settings={log.settings}
          theme={theme}
          lives={ownLives(kit)}
          effects={schoolEffects(reading)}
        />
        <Learned
          learned={sayTaste(kit.surveyed.taste, (id) => nameHere(kit, id))}
          forgotten={log.settings.forgotten}
          today={book.today}
        />
        <Everything owned={log.items.length} />
        <Paired
          sharing={process.env.NETTLE_SHARED_ON !== undefined}
          browsers={pairings().map(({ id, name, since }) => ({ id, name, since }))}
        />
        <section id="strokes" aria-labelledby="strokes-title">
          <h2 id="strokes-title" className="mb-2 border-b-2 border-ink pb-1 text-lg">
            What the strokes mean
          </h2>
          <ul className="grid gap-x-8 gap-y-2 sm:grid-cols-3">
            {entriesOf(STROKES)
              .filter(([code]) => code !== "-")
              .map(([code, words]) => (
                <li key={code} className="flex items-end gap-3">
                  <span className="flex w-5 justify-center">
                    <Stroke code={code} size={24} />
                  </span>
                  {words}
                </li>
              ))}
          </ul>
        </section>
      </div>
    </>
  );
}
