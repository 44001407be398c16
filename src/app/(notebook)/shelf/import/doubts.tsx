import type { ReactNode } from "react";
import { count } from "@/core/units/speak";
import { RadioRow } from "@/ui/form/radio-row";
import type { CsvRow } from "@/formats/items-csv";
import type { ReadList } from "./list-read";
import type { ListState } from "./list-state";

/** Bad rows told at once; a list of more is mended in its program. */
const BAD_SHOWN = 30;

/** The first few of some rows, in words. */
const some = (rows: readonly CsvRow[], say: (row: CsvRow) => string, most = 6) =>
  `${rows.slice(0, most).map(say).join(", ")}${rows.length > most ? " …" : ""}`;

const nameOf = (row: CsvRow) => row.name || `line ${row.line}`;

/** What stands in the way of keeping the list. */
export function BadRows({ rows }: { rows: readonly CsvRow[] }) {
  if (rows.length === 0) return null;
  return (
    <div role="alert" className="border-l-4 border-sting pl-4">
      <p className="font-bold text-sting">
        {count(rows.length, "row")} can&rsquo;t be read. Nothing goes in until{" "}
        {rows.length === 1 ? "it is" : "they are"} mended, in the table below or in the text above.
      </p>
      <ul>
        {rows.slice(0, BAD_SHOWN).map((row) => (
          <li key={row.line}>
            Line {row.line}
            {row.name && ` (${row.name})`}: {row.problem}
          </li>
        ))}
      </ul>
      {rows.length > BAD_SHOWN && <p>… and {rows.length - BAD_SHOWN} more.</p>}
    </div>
  );
}

interface DoubtsProps {
  readonly read: ReadList;
  readonly state: ListState;
  readonly onChange: (state: ListState) => void;
}

/** What is left out or doubtful, each with the tick that takes it. */
export function Doubts({ read: { aside, several, twice, heavy, each }, state, onChange }: DoubtsProps) {
  return (
    <>
      {aside.length > 0 && (
        <Tick quiet checked={state.asides} onChange={(asides) => onChange({ ...state, asides })}>
          {count(aside.length, "row")} {aside.length === 1 ? "looks" : "look"} like a heading or a total (
          {some(aside, nameOf)}). Left out, unless you tick this.
        </Tick>
      )}
      {several.length > 0 && (
        <Several rows={several} each={each} onChange={(chosen) => onChange({ ...state, each: chosen })} />
      )}
      {twice.length > 0 && (
        <Tick checked={state.doubles} onChange={(doubles) => onChange({ ...state, doubles })}>
          {count(twice.length, "row")} {twice.length === 1 ? "names a thing" : "name things"} already here (
          {some(twice, ({ name }) => name)}). Left out, unless you tick this.
        </Tick>
      )}
      {heavy.length > 0 && (
        <Tick checked={state.sure} onChange={(sure) => onChange({ ...state, sure })}>
          {some(heavy, ({ name, item }) => `${name}: ${item?.weights?.at(-1)?.weight}`)}. That is a lot for
          one thing. Tick this if it is right, or mend it below.
        </Tick>
      )}
    </>
  );
}

interface SeveralProps {
  readonly rows: readonly CsvRow[];
  readonly each: boolean;
  readonly onChange: (each: boolean) => void;
}

const ASKED = "border-l-4 border-catkin-strong pl-4";

/** Is the weight of a set that of all of it, or of each piece? */
function Several({ rows, each, onChange }: SeveralProps) {
  return (
    <RadioRow
      className={ASKED}
      name="several"
      legend={
        <>
          {count(rows.length, "row")} {rows.length === 1 ? "has" : "have"} several pieces (
          {some(rows, ({ name, item }) => `${name} ×${item?.pieces}`, 3)}). The weight is that of
        </>
      }
      choices={[
        ["all", "all of them"],
        ["each", "each"],
      ]}
      value={each ? "each" : "all"}
      onChange={(value) => onChange(value === "each")}
    />
  );
}

/** Asked once of the whole list: whose weights these are, and how far its things have gone. */
export function OfTheList({ state, onChange }: Omit<DoubtsProps, "read">) {
  return (
    <>
      <RadioRow
        className={ASKED}
        name="claimed"
        legend="The weights are"
        choices={[
          ["weighed", "as weighed"],
          ["claimed", "the makers’, never weighed"],
        ]}
        value={state.claimed ? "claimed" : "weighed"}
        onChange={(value) => onChange({ ...state, claimed: value === "claimed" })}
      />
      <RadioRow
        className={ASKED}
        name="past"
        legend="Before this log, these things had gone"
        choices={[
          ["known", "hardly anywhere, or as I’ll say of each"],
          ["new", "nowhere: they are new"],
          ["unknown", "nobody knows how far"],
        ]}
        value={state.past}
        onChange={(past) => onChange({ ...state, past })}
      />
    </>
  );
}

interface TickProps {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly quiet?: boolean;
  readonly children: ReactNode;
}

/** Something left out or doubtful, and the tick that takes it. */
function Tick({ checked, onChange, quiet = false, children }: TickProps) {
  return (
    <label
      className={`flex items-start gap-2 border-l-4 pl-4 ${quiet ? "border-rule-strong" : "border-catkin-strong"}`}
    >
      <input
        type="checkbox"
        className="mt-1 size-5"
        checked={checked}
        onChange={({ target }) => onChange(target.checked)}
      />
      <span>{children}</span>
    </label>
  );
}
