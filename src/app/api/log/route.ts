import { revalidatePath } from "next/cache";
import { logProblems, type Problem } from "@/core/ledger/check/check";
import type { WholeLog } from "@/core/model";
import { store } from "@/data/connection";
import { addLog, readWholeLog, replaceLog } from "@/data/records/log";
import { isRefused } from "@/data/refused";
import { weighLog } from "@/data/records/weight";
import { keepCopyBefore } from "@/app/copies";
import { asImport, Stopped, type Tell } from "@/app/imports";
import { readApart } from "@/app/read-apart";
import { sayProblem, writeLogFile } from "@/formats/log-file";

/** Problems told at once; more would bury the first. */
const TOLD = 30;

/** Everything, as one file in the open format. */
export async function GET(): Promise<Response> {
  return new Response(writeLogFile(await (await store()).snapshot(readWholeLog)), {
    headers: {
      "content-type": "application/json; charset=utf-8",
      "content-disposition": `attachment; filename="nettle-tally-${new Date().toISOString().slice(0, 10)}.json"`,
    },
  });
}

/**
 * What a file comes to (`?look`), or its log put in the place of what is here (`?replace`) or added to it
 * (`?add`). With an id of its own (`&import=…`) it can be asked after, and stopped.
 */
export async function POST(request: Request): Promise<Response> {
  const ask = new URL(request.url).searchParams;
  try {
    return await asImport(ask.get("import") ?? crypto.randomUUID(), (tell) => bringIn(request, ask, tell));
  } catch (error) {
    if (error instanceof Stopped) return Response.json({ stopped: true }, { status: 409 });
    if (isRefused(error))
      return Response.json({ problems: [error.message] }, { status: error.wantsRoom ? 507 : 422 });
    throw error;
  }
}

async function bringIn(request: Request, ask: URLSearchParams, tell: Tell): Promise<Response> {
  const bytes = await request.arrayBuffer();
  await tell(0, 0);
  const read = await readApart("log", bytes);
  await tell(0, 0);
  if (!read.ok) return refused("why" in read ? [{ path: [], message: read.why }] : read.problems);
  const db = await store();
  const told = (fresh: WholeLog, here: WholeLog) => ({
    items: read.log.items.length,
    trips: read.log.trips.length,
    newItems: fresh.items.length,
    newTrips: fresh.trips.length,
    same: writeLogFile(read.log) === writeLogFile(here),
    mended: read.mended,
  });
  if (ask.has("replace") || ask.has("add")) {
    const answer = await db.transaction(async (tx) => {
      const here = await readWholeLog(tx);
      const fresh = newIn(read.log, here);
      if (ask.has("replace")) {
        if (here.items.length > 0) await keepCopyBefore(here);
        await replaceLog(tx, read.log, tell);
      } else {
        const problems = logProblems(together(here, fresh));
        if (problems.length) return refused(problems);
        await addLog(tx, fresh, tell);
      }
      await weighLog(tx);
      return Response.json(told(fresh, here));
    });
    if (answer.ok) revalidatePath("/", "layout");
    return answer;
  }
  const here = await db.snapshot(readWholeLog);
  return Response.json(told(newIn(read.log, here), here));
}

const refused = (problems: readonly Problem[]) =>
  Response.json(
    {
      problems: [
        ...problems.slice(0, TOLD).map(sayProblem),
        ...(problems.length > TOLD ? [`… and ${problems.length - TOLD} more`] : []),
      ],
    },
    { status: 422 },
  );

/** What a log holds that is not here yet, by id. */
function newIn(log: WholeLog, here: WholeLog): WholeLog {
  const fresh = <T extends { readonly id: string }>(theirs: readonly T[], ours: readonly T[]) => {
    const ids = new Set(ours.map(({ id }) => id));
    return theirs.filter(({ id }) => !ids.has(id));
  };
  const trips = fresh(log.trips, here.trips);
  const fromNew = new Set(trips.map(({ id }) => id));
  return {
    settings: here.settings,
    items: fresh(log.items, here.items),
    trips,
    tracks: log.tracks.filter(({ trip }) => fromNew.has(trip)),
    entries: fresh(log.entries, here.entries),
    rulings: fresh(log.rulings, here.rulings),
    tasks: fresh(log.tasks, here.tasks),
    kits: fresh(log.kits, here.kits),
  };
}

/** What is here with what is new behind it. */
const together = (here: WholeLog, fresh: WholeLog): WholeLog => ({
  settings: here.settings,
  items: [...here.items, ...fresh.items],
  trips: [...here.trips, ...fresh.trips],
  tracks: [...here.tracks, ...fresh.tracks],
  entries: [...here.entries, ...fresh.entries],
  rulings: [...here.rulings, ...fresh.rulings],
  tasks: [...here.tasks, ...fresh.tasks],
  kits: [...here.kits, ...fresh.kits],
});
