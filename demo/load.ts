import path from "node:path";
import { formatISO } from "date-fns";
import { openStore } from "@/data/store";
import { replaceLog } from "@/data/records/log";
import { demoLog } from "./log";

/** Fills an empty data folder with the demo walker's log: `tsx demo/load.ts FOLDER`. */
const store = await openStore({ folder: path.resolve(process.argv[2]!) });
await store.transaction((tx) => replaceLog(tx, demoLog(formatISO(new Date(), { representation: "date" }))));
await store.close();
