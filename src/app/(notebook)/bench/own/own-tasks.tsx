import type { Bench } from "@/core/jobs/bench";
import type { Book } from "@/core/ledger/book";
import { Section } from "@/ui/page/section";
import { TaskLine } from "./task-line";

/** Jobs that the owner wrote down. */
export function OwnTasks({ tasks, book }: { tasks: Bench["tasks"]; book: Book }) {
  return (
    <Section title="Your own" look="mb-6">
      <ul>
        {tasks.map((task) => (
          <TaskLine
            key={task.id}
            task={task}
            thing={(task.item && book.item(task.item)?.name) ?? null}
            late={task.due !== null && task.due < book.today}
          />
        ))}
      </ul>
    </Section>
  );
}
