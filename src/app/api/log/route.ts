import { revalidatePath } from "next/cache";
import { logProblems } from "@/core/ledger/check";
import type { WholeLog } from "@/core/model";
import { store } from "@/data/connection";
import { addLog, readWholeLog, replaceLog } from "@/data/log";
import { keepCopyBefore } from "@/app/copies";
import { asImport, Stopped, type Tell } from "@/app/imports";
import { FILE_LIMIT, readLogFile, sayProblem, writeLogFile } from "@/formats/log-file";

/** Problems told at once; more would bury the first. */
const TOLD = 30;

/** Everything, as one file in the open format. */
export async function GET(): Promise<Response> {
  return new Response(writeLogFile(await readWholeLog(await store())), {
    headers: {
      "content-type": "application/json; charset=utf-8",
      "content-disposition": `attachment; filename="nettle-tally-${new Date().toISOString().slice(0, 10)}.json"`,
    },
  });
}

/**
 * What a file comes to (`?look`), or its log put in the place of what is here (`?replace`) or added to it (`?add`). With an
 * id of its own (`&import=…`) it can be asked after, and stopped.
 */
export async function POST(request: Request): Promise<Response> {
  const id = new URL(request.url).searchParams.get("import") ?? crypto.randomUUID();
  try {
    return await asImport(id, (tell) => bringIn(request, tell));
  } catch (error) {
    if (error instanceof Stopped) return Response.json({ stopped: true }, { status: 409 });
    throw error;
  }
}

async function bringIn(request: Request, tell: Tell): Promise<Response> {
  if (Number(request.headers.get("content-length") ?? 0) > FILE_LIMIT) return tooLarge();
  const text = await request.text();
  if (text.length > FILE_LIMIT) return tooLarge();
  await tell(0, 0);
  const read = readLogFile(text);
  await tell(0, 0);
  if (!read.ok)
    return Response.json(
      {
        problems: [
          ...read.problems.slice(0, TOLD).map(sayProblem),
          ...(read.problems.length > TOLD ? [`… and ${read.problems.length - TOLD} more`] : []),
        ],
      },
      { status: 422 },
    );
  const db = await store();
  const here = await readWholeLog(db);
  const fresh = newIn(read.log, here);
  const ask = new URL(request.url).searchParams;
  if (ask.has("replace")) {
    if (here.items.length > 0) await keepCopyBefore(here);
    await db.transaction((tx) => replaceLog(tx, read.log, tell));
  } else if (ask.has("add")) {
    const problems = logProblems({
      ...here,
      items: [...here.items, ...fresh.items],
      trips: [...here.trips, ...fresh.trips],
    });
    if (problems.length)
      return Response.json({ problems: problems.slice(0, TOLD).map(sayProblem) }, { status: 422 });
    await db.transaction((tx) => addLog(tx, fresh, tell));
  }
  if (!ask.has("look")) revalidatePath("/", "layout");
  return Response.json({
    items: read.log.items.length,
    trips: read.log.trips.length,
    newItems: fresh.items.length,
    newTrips: fresh.trips.length,
    same: writeLogFile(read.log) === writeLogFile(here),
    mended: read.mended,
  });
}

const tooLarge = () =>
  Response.json({ problems: [`The file is larger than ${FILE_LIMIT / 1024 / 1024} MB.`] }, { status: 413 });

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
  };
}
