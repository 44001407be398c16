import { writeFile } from "node:fs/promises";
import { logSchema } from "@/formats/log-schema";

/** Writes docs/nettle-tally.schema.json anew; a test holds it to the code. */
await writeFile("docs/nettle-tally.schema.json", `${JSON.stringify(logSchema(), null, 2)}\n`);
