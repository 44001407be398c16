import { readdir, readFile } from "node:fs/promises";
import path from "node:path";
import type { Store } from "./db";

/** Next bundles this module, so the files are found from the project's own folder. */
const MIGRATIONS = path.join(process.cwd(), "src", "data", "migrations");

class NewerDatabase extends Error {
  constructor(found: number, known: number) {
    super(
      `This data was written by a later Nettle Tally (version ${found} of its tables; this one knows ${known}). Update the program, or choose another folder.`,
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
  await store.exec("create table if not exists migration (n int primary key, name text not null)");
  const files = (await readdir(MIGRATIONS)).filter((file) => /^\d{4}-.+\.sql$/.test(file)).sort();
  const { rows } = await store.query("select coalesce(max(n), 0)::int as n from migration");
  const done = Number(rows[0]!.n);
  if (done > files.length) throw new NewerDatabase(done, files.length);
  for (const file of files.slice(done)) {
    const n = Number(file.slice(0, 4));
    const statements = (await readFile(path.join(MIGRATIONS, file), "utf8"))
      .split(/;\s*$/m)
      .filter((sql) => sql.replace(/--.*$/gm, "").trim() !== "");
    await store.transaction(async (tx) => {
      for (const sql of statements) await tx.query(sql);
      await tx.query("insert into migration (n, name) values ($1, $2)", [n, file]);
    });
  }
}
