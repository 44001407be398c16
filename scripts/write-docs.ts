import { writeFile } from "node:fs/promises";
import { kindsPage } from "@/formats/kinds-page";
import { logSchema } from "@/formats/log-schema";

/** Writes anew what in docs follows from the code; tests hold them to it. */
await writeFile("docs/nettle-tally.schema.json", `${JSON.stringify(logSchema(), null, 2)}\n`);
await writeFile("docs/kinds.md", kindsPage());
