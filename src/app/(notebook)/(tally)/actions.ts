"use server";

import { Settings } from "@/core/model";
import { readWholeLog, replaceLog } from "@/data/records/log";
import { readSettings } from "@/data/records/settings";
import { weighLog } from "@/data/records/weight";
import { acting } from "@/app/acting";
import { keepCopyBefore } from "@/app/copies";
import { readApart } from "@/app/read-apart";
import { today } from "@/app/reading";
import { refuse, type Answer } from "@/ui/form/answer";

/** Fills an empty notebook with the demo's, to look around in; units and money stay as they are set. */
export async function lookAtDemo(): Promise<Answer> {
  const read = await readApart("demo", today());
  if (!read.ok) return refuse({ "": read.why });
  return acting(async (tx) => {
    const here = await readWholeLog(tx);
    if (here.items.length > 0 || here.trips.length > 0)
      return refuse({ "": "There is something in this notebook already: the demo would be mixed with it." });
    const { units, currency } = here.settings;
    await replaceLog(tx, { ...read.log, settings: { ...read.log.settings, units, currency, demo: true } });
    await weighLog(tx);
    return { ok: true, value: undefined };
  });
}

/** Empties a notebook that is the demo's, what was entered in it too; a copy is kept beside it. */
export async function leaveDemo(): Promise<Answer> {
  return acting(async (tx) => {
    const { demo, units, currency } = await readSettings(tx);
    if (!demo) return refuse({ "": "This notebook is your own: nothing is taken out of it." });
    await keepCopyBefore(await readWholeLog(tx));
    await replaceLog(tx, {
      settings: Settings.parse({ units, currency }),
      items: [],
      trips: [],
      entries: [],
      rulings: [],
      tasks: [],
      kits: [],
      tracks: [],
    });
    await weighLog(tx);
    return { ok: true, value: undefined };
  });
}
