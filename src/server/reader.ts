import { demoLog } from "../../demo/log";
import type { WholeLog } from "../core/model";
import { readCalendar, type CalendarRead } from "../formats/icalendar";
import { readLogFile, type ReadLog } from "../formats/log-file";

/** What the server is brought to read, and what comes of it. */
export interface Reads {
  readonly log: ReadLog;
  readonly calendar: CalendarRead;
  /** The demo around a day, which is what is read. */
  readonly demo: { readonly ok: true; readonly log: WholeLog };
}

const READERS: { readonly [Sort in keyof Reads]: (text: string) => Reads[Sort] } = {
  log: readLogFile,
  calendar: readCalendar,
  demo: (today) => ({ ok: true, log: demoLog(today) }),
};

/**
 * Run in a worker of its own (`app/read-apart.ts`), since a file that is made to be slow would keep everybody
 * waiting.
 */
export default <Sort extends keyof Reads>({
  sort,
  text,
}: {
  readonly sort: Sort;
  readonly text: string | ArrayBuffer;
}) => READERS[sort](typeof text === "string" ? text : new TextDecoder().decode(text));
