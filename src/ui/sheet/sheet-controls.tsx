import { useEffect, useRef, useState } from "react";
import { JOBS, type Job, type Verb } from "@/core/model";
import { isTyping } from "../is-typing";
import { EVERYTHING, SORTS, type Asked, type SortName } from "./arrange";
import type { SheetData } from "./sheet-data";

/** Sort, filter and find. `/` goes to the search field. */
export function SheetControls({
  data,
  asked,
  found,
  onAsk,
}: {
  data: SheetData;
  asked: Asked;
  found: number;
  onAsk: (asked: Asked) => void;
}) {
  const [filtering, setFiltering] = useState(false);
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
  const kinds = [...new Set(data.rows.map((row) => row.kind))].sort();
  const jobs = JOBS.filter((job) => data.rows.some((row) => row.jobs.includes(job)));
  const verbs = [...new Set(data.rows.map((row) => row.verb))].sort();
  const isFiltered =
    asked.find !== "" || asked.kind !== "" || asked.job !== "" || asked.verb !== "" || asked.trip >= 0;
  return (
    <div className="no-print mb-1 flex flex-wrap items-center gap-x-3 gap-y-2 text-sm">
      <Choice
        label="Sort by"
        value={asked.sort}
        options={Object.keys(SORTS)}
        onChange={(sort) => onAsk({ ...asked, sort: sort as SortName })}
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
        <Choice
          label="Kind"
          value={asked.kind}
          options={kinds}
          any="every kind"
          onChange={(kind) => onAsk({ ...asked, kind })}
        />
        <Choice
          label="Job"
          value={asked.job}
          options={jobs}
          any="every job"
          onChange={(job) => onAsk({ ...asked, job: job as Job | "" })}
        />
        <Choice
          label="Verdict"
          value={asked.verb}
          options={verbs}
          any="every verdict"
          onChange={(verb) => onAsk({ ...asked, verb: verb as Verb | "" })}
        />
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
        {isFiltered
          ? `${found} of ${data.rows.length}${asked.trip >= 0 ? ` on ${data.trips[asked.trip]!.name}` : ""}`
          : ""}
      </span>
    </div>
  );
}

function Choice({
  label,
  value,
  options,
  any,
  onChange,
}: {
  label: string;
  value: string;
  options: readonly string[];
  any?: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="flex items-center gap-1.5">
      <span className={any ? "sr-only" : "text-muted"}>{label}</span>
      <select
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="field !min-h-8 !w-auto max-w-44 !py-0.5"
      >
        {any && <option value="">{any}</option>}
        {options.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </label>
  );
}
