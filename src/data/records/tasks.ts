import { z } from "zod";
import { Task } from "@/core/model";
import { columnsOf } from "../columns";
import type { Db } from "../db";

const COLUMNS = columnsOf(Task.shape, { key: ["id"], dates: ["due", "done"] });

/** The owner's own jobs, those due first in front. */
export async function allTasks(db: Db): Promise<Task[]> {
  const { rows } = await db.query(`select ${COLUMNS.read("t")} from task t order by t.due nulls last, t.id`);
  return z.array(Task).parse(rows);
}

export async function saveTasks(db: Db, tasks: readonly Task[]): Promise<void> {
  await db.query(
    `insert into task (${COLUMNS.names}) select ${COLUMNS.names} from jsonb_populate_recordset(null::task, $1::jsonb)
     on conflict (id) do update set ${COLUMNS.set}`,
    [JSON.stringify(tasks)],
  );
}

export async function removeTask(db: Db, id: string): Promise<void> {
  await db.query("delete from task where id = $1", [id]);
}
