"use client";

import { useRouter } from "next/navigation";
import { useMemo, useState, useTransition, type ReactNode } from "react";
import { toast } from "sonner";
import { count } from "@/core/units/speak";
import {
  CSV_FIELDS,
  CSV_LIMIT,
  guessMapping,
  readItems,
  readTable,
  unitOfList,
  type CsvField,
  type Mapping,
  type Mends,
} from "@/formats/items-csv";
import { SelectField, TextField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { importItems } from "../actions";
import { Preview } from "./preview";

const FIELD_NAMES: Record<CsvField, string> = {
  name: "Name",
  kind: "Kind",
  weight: "Weight",
  unit: "Unit of the weight",
  stow: "Where it rides",
  pieces: "Pieces",
  price: "Price",
  acquired: "Bought on",
  state: "State",
  note: "Note",
  worn: "Worn",
  consumable: "Used up",
};

/** Choose, map, look, keep: all of the good rows go in together, or none do. */
export function ImportList({ owned, unit }: { owned: readonly string[]; unit: "g" | "oz" }) {
  const router = useRouter();
  const [text, setText] = useState("");
  const [chosen, setChosen] = useState<Mapping>();
  const [doubles, setDoubles] = useState(false);
  const [sure, setSure] = useState(false);
  const [asides, setAsides] = useState(false);
  const [each, setEach] = useState(false);
  const [takeUnit, setTakeUnit] = useState(false);
  const [mends, setMends] = useState<Mends>(new Map());
  const [failed, setFailed] = useState<string>();
  const [busy, start] = useTransition();
  const table = useMemo(() => (text.trim() === "" ? null : readTable(text)), [text]);
  const mapping = useMemo(() => chosen ?? (table?.ok ? guessMapping(table.header) : {}), [chosen, table]);
  const rows = useMemo(
    () =>
      table?.ok && mapping.name !== undefined
        ? readItems(table.header, table.rows, mapping, new Set(owned), unit, {
            start: table.start,
            each,
            mends,
          }).map((row) => ({ ...row, out: row.aside !== null && !(asides && row.item !== null) }))
        : [],
    [table, mapping, owned, unit, each, asides, mends],
  );
  const listUnit = useMemo(
    () => (table?.ok ? unitOfList(table.header, table.rows, mapping) : null),
    [table, mapping],
  );
  const mend = (line: number, field: CsvField, value: string) =>
    setMends(new Map(mends).set(line, { ...mends.get(line), [field]: value }));
  const aside = rows.filter((row) => row.aside !== null);
  const several = rows.filter((row) => row.several && !row.out);
  const bad = rows.filter((row) => row.problem !== null && !row.out);
  const twice = rows.filter((row) => row.problem === null && row.double && !row.out);
  const taken = rows.filter((row) => row.item !== null && !row.out && (doubles || !row.double));
  const heavy = taken.filter((row) => row.heavy);
  const good = taken.map((row) => row.item!);

  /** Another list: nothing said of the last one holds for it. */
  const afresh = () => {
    setFailed(undefined);
    setChosen(undefined);
    setSure(false);
    setMends(new Map());
  };
  const choose = async (file: File | undefined) => {
    afresh();
    if (!file) return;
    if (file.size > CSV_LIMIT)
      return setFailed(`${file.name} is larger than ${CSV_LIMIT / 1024 / 1024} MB. Is it a list of gear?`);
    setText(await file.text());
  };
  const keep = () =>
    start(async () => {
      const answer = await importItems(good, takeUnit ? listUnit : null);
      if (!answer.ok) return setFailed(Object.values(answer.fields)[0]);
      tellOtherTabs();
      toast(`${count(answer.value, "thing")} put on the shelf`);
      router.push("/shelf");
    });

  return (
    <div className="max-w-4xl space-y-6">
      <div>
        <label className="label" htmlFor="list-file">
          A CSV file
        </label>
        <input
          id="list-file"
          type="file"
          accept=".csv,text/csv,text/plain"
          className="field"
          onChange={(event) => void choose(event.target.files?.[0])}
        />
      </div>
      <TextField
        label="Or paste it here"
        value={text}
        rows={5}
        onChange={(event) => {
          setText(event.target.value);
          afresh();
        }}
        placeholder={"name,weight,where\nRain shell,312 g,outside"}
        error={failed ?? (table && !table.ok ? table.why : undefined)}
        spellCheck={false}
      />
      {table?.ok && (
        <>
          <fieldset>
            <legend className="mb-2 font-head text-lg font-bold">Which column is what</legend>
            <div className="grid grid-cols-2 gap-3 sm:grid-cols-3 md:grid-cols-5">
              {CSV_FIELDS.map((field) => (
                <SelectField
                  key={field}
                  label={FIELD_NAMES[field]}
                  value={String(mapping[field] ?? "")}
                  error={
                    field === "name" && mapping.name === undefined
                      ? "Say which column has the names."
                      : undefined
                  }
                  options={[
                    ["", "–"],
                    ...table.header.map((name, n) => [String(n), name || `column ${n + 1}`] as const),
                  ]}
                  onChange={({ target: { value } }) =>
                    setChosen({ ...mapping, [field]: value === "" ? undefined : Number(value) })
                  }
                />
              ))}
            </div>
          </fieldset>
          {bad.length > 0 && (
            <div role="alert" className="border-l-4 border-sting pl-4">
              <p className="font-bold text-sting">
                {count(bad.length, "row")} can&rsquo;t be read. Nothing goes in until{" "}
                {bad.length === 1 ? "it is" : "they are"} mended, in the table below or in the text above.
              </p>
              <ul>
                {bad.slice(0, 30).map((row) => (
                  <li key={row.line}>
                    Line {row.line}
                    {row.name && ` (${row.name})`}: {row.problem}
                  </li>
                ))}
              </ul>
              {bad.length > 30 && <p>… and {bad.length - 30} more.</p>}
            </div>
          )}
          {aside.length > 0 && (
            <Tick quiet checked={asides} onChange={setAsides}>
              {count(aside.length, "row")} {aside.length === 1 ? "looks" : "look"} like a heading or a total (
              {aside
                .slice(0, 6)
                .map((row) => row.name || `line ${row.line}`)
                .join(", ")}
              {aside.length > 6 ? " …" : ""}). Left out, unless you tick this.
            </Tick>
          )}
          {several.length > 0 && (
            <fieldset className="border-l-4 border-catkin-strong pl-4">
              <legend className="float-left mr-3">
                {count(several.length, "row")} {several.length === 1 ? "has" : "have"} several pieces (
                {several
                  .slice(0, 3)
                  .map((row) => `${row.name} ×${row.item?.pieces}`)
                  .join(", ")}
                {several.length > 3 ? " …" : ""}). The weight is that of
              </legend>
              {(
                [
                  [false, "all of them"],
                  [true, "each"],
                ] as const
              ).map(([value, word]) => (
                <label key={word} className="mr-4 inline-flex items-center gap-2">
                  <input
                    type="radio"
                    name="several"
                    className="size-5"
                    checked={each === value}
                    onChange={() => setEach(value)}
                  />
                  {word}
                </label>
              ))}
            </fieldset>
          )}
          {twice.length > 0 && (
            <Tick checked={doubles} onChange={setDoubles}>
              {count(twice.length, "row")} {twice.length === 1 ? "names a thing" : "name things"} already here
              (
              {twice
                .slice(0, 6)
                .map((row) => row.name)
                .join(", ")}
              {twice.length > 6 ? " …" : ""}). Left out, unless you tick this.
            </Tick>
          )}
          {heavy.length > 0 && (
            <Tick checked={sure} onChange={setSure}>
              {heavy
                .slice(0, 6)
                .map((row) => `${row.name}: ${row.item?.weights?.at(-1)?.weight}`)
                .join(", ")}
              {heavy.length > 6 ? " …" : ""}. That is a lot for one thing. Tick this if it is right, or mend
              it below.
            </Tick>
          )}
          {rows.length > 0 && (
            <Preview rows={rows.filter((row) => !row.out)} doubles={doubles} onMend={mend} />
          )}
          {listUnit && listUnit !== unit && (
            <Tick quiet checked={takeUnit} onChange={setTakeUnit}>
              This list is in {listUnit === "oz" ? "ounces and pounds" : "grams and kilos"}. Tick this to have
              all weights said so from now on.
            </Tick>
          )}
          <button
            type="button"
            className="btn btn-leaf"
            disabled={busy || bad.length > 0 || good.length === 0 || (heavy.length > 0 && !sure)}
            onClick={keep}
          >
            Put {count(good.length, "thing")} on the shelf
          </button>
        </>
      )}
    </div>
  );
}

/** Something left out or doubtful, and the tick that takes it. */
function Tick({
  checked,
  onChange,
  quiet = false,
  children,
}: {
  checked: boolean;
  onChange: (checked: boolean) => void;
  quiet?: boolean;
  children: ReactNode;
}) {
  return (
    <label
      className={`flex items-start gap-2 border-l-4 pl-4 ${quiet ? "border-rule-strong" : "border-catkin-strong"}`}
    >
      <input
        type="checkbox"
        className="mt-1 size-5"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      <span>{children}</span>
    </label>
  );
}
