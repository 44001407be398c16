import { useEffect, useRef, useState } from "react";
import { JOBS } from "@/core/model/lists";
import { isTyping } from "../is-typing";
import { EVERYTHING, SORT_NAMES, type Asked } from "./arrange";
import type { SheetData } from "./sheet-data";

interface SheetControlsProps {
  readonly data: SheetData;
  readonly asked: Asked;
  /** Rows that are asked for. */
  readonly found: number;
  readonly onAsk: (asked: Asked) => void;
}

/** Sort, filter and find. `/` goes to the search field. */
export function SheetControls({ data, asked, found, onAsk }: SheetControlsProps) {
  const [filtering, setFiltering] = useState(false);
  const search = useSearchKey();
  const isFiltered =
    asked.find !== "" || asked.kind !== "" || asked.job !== "" || asked.verb !== "" || asked.trip >= 0;
  const onTrip = data.trips[asked.trip];
  return (
    <div className="no-print mb-1 flex flex-wrap items-center gap-x-3 gap-y-2 text-sm">
      <Choice
        label="Sort by"
        value={asked.sort}
        options={SORT_NAMES}
        onChange={(sort) => onAsk({ ...asked, sort })}
      />
      <input
        ref={search}
        type="search"
        value={asked.find}
        onChange={(event) => onAsk({ ...asked, find: event.target.value })}
        aria-label="Find a thing"
        placeholder="find …"
        className="field !min-h-8 !w-0 min-w-24 flex-1 !py-0.5 sm:!w-36 sm:flex-none"
      />
      <button
        type="button"
        className="btn btn-plain !min-h-8 sm:hidden"
        aria-expanded={filtering}
        onClick={() => setFiltering(!filtering)}
      >
        Filter
      </button>
      <span
        className={`flex-wrap gap-x-3 gap-y-2 sm:contents ${filtering || isFiltered ? "flex" : "hidden"}`}
      >
        <Filters data={data} asked={asked} onAsk={onAsk} />
      </span>
      {isFiltered && (
        <button
          type="button"
          className="btn btn-plain !min-h-8"
          onClick={() => onAsk({ ...EVERYTHING, sort: asked.sort })}
        >
          Clear
        </button>
      )}
      <span role="status" className="text-muted">
        {isFiltered && `${found} of ${data.rows.length}${onTrip ? ` on ${onTrip.name}` : ""}`}
      </span>
    </div>
  );
}

/** The search field, which `/` goes to from anywhere on the page. */
function useSearchKey() {
  const search = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== "/" || isTyping(event)) return;
      event.preventDefault();
      search.current?.focus();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return search;
}

/** Only one kind, one job, one verdict. */
function Filters({ data, asked, onAsk }: Omit<SheetControlsProps, "found">) {
  const kinds = [...new Set(data.rows.map(({ kind }) => kind))].sort();
  const jobs = [...new Set(data.rows.flatMap((row) => row.jobs))];
  const verbs = [...new Set(data.rows.map(({ verb }) => verb))].sort();
  return (
    <>
      <Choice
        label="Kind"
        value={asked.kind}
        options={["", ...kinds]}
        any="every kind"
        onChange={(kind) => onAsk({ ...asked, kind })}
      />
      <Choice
        label="Job"
        value={asked.job}
        options={["", ...JOBS.filter((job) => jobs.includes(job))]}
        any="every job"
        onChange={(job) => onAsk({ ...asked, job })}
      />
      <Choice
        label="Verdict"
        value={asked.verb}
        options={["", ...verbs]}
        any="every verdict"
        onChange={(verb) => onAsk({ ...asked, verb })}
      />
    </>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly T[];
  /** What the blank, none of them, is called. */
  readonly any?: string;
  readonly onChange: (value: T) => void;
}

function Choice<T extends string>({ label, value, options, any, onChange }: ChoiceProps<T>) {
  return (
    <label className="flex items-center gap-1.5">
      <span className={any ? "sr-only" : "text-muted"}>{label}</span>
      <select
        value={value}
        onChange={({ target }) => options.filter((option) => option === target.value).forEach(onChange)}
        className="field !min-h-8 !w-auto max-w-44 !py-0.5"
      >
        {options.map((option) => (
          <option key={option} value={option}>
            {option || any}
          </option>
        ))}
      </select>
    </label>
  );
}
