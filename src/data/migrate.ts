import { readdir, readFile } from "node:fs/promises";
import path from "node:path";
import type { Store } from "./db";
import { nth } from "@/core/sums/there";

/** Next bundles this module, so the files are found from the project's own folder. */
const MIGRATIONS = path.join(process.cwd(), "src", "data", "migrations");

/** Up to a semicolon at the end of a line; those within a function's $$ … $$ are its own. */
const STATEMENT = /(?:\$\$[^]*?\$\$|;(?!\s*$)|[^;])+/gm;

class NewerDatabase extends Error {
  constructor(found: number, known: number) {
    super(
      `This data was written by a later Nettle Tally (version ${found} of its tables; ` +
        `this one knows ${known}). Update the program, or choose another folder.`,
    );
    this.name = "NewerDatabase";
  }
}

/**
 * Carries the database forward to the newest numbered migration, each in its own transaction.
 *
 * @throws NewerDatabase if it is already past the newest one here
 */
export async function migrate(store: Store): Promise<void> {
  const isDone = async () => {
    const { rows } = await store.query("select coalesce(max(n), 0)::int as n from migration");
    return Number(nth(rows, 0).n);
  };
  // Two processes may start on one new server at once: what the other did first is done.
  await store
    .exec("create table if not exists migration (n int primary key, name text not null)")
    .catch(isDone);
  const files = (await readdir(MIGRATIONS)).filter((file) => /^\d{4}-.+\.sql$/.test(file)).sort();
  const done = await isDone();
  if (done > files.length) throw new NewerDatabase(done, files.length);
  for (const file of files.slice(done)) {
    const n = Number(file.slice(0, 4));
    const script = (await readFile(path.join(MIGRATIONS, file), "utf8")).replace(/^--.*$/gm, "");
    const statements = (script.match(STATEMENT) ?? []).filter((sql) => sql.trim() !== "");
    try {
      await store.transaction(async (tx) => {
        await tx.query("insert into migration (n, name) values ($1, $2)", [n, file]);
        for (const sql of statements) await tx.query(sql);
      });
    } catch (error) {
      if ((await isDone()) < n) throw error;
    }
  }
}
