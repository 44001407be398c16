import { CSV_FIELDS, type CsvField, type Mapping } from "@/formats/items-csv";
import { SelectField } from "@/ui/form/field";

const FIELD_NAMES: Readonly<Record<CsvField, string>> = {
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

interface ColumnsProps {
  readonly header: readonly string[];
  readonly mapping: Mapping;
  readonly onMap: (mapping: Mapping) => void;
}

/** Which column holds what. */
export function Columns({ header, mapping, onMap }: ColumnsProps) {
  const names = header.map((name, n) => [String(n), name || `column ${n + 1}`] as const);
  return (
    <fieldset>
      <legend className="mb-2 font-head text-lg font-bold">Which column is what</legend>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3 md:grid-cols-5">
        {CSV_FIELDS.map((field) => (
          <SelectField
            key={field}
            label={FIELD_NAMES[field]}
            value={String(mapping[field] ?? "")}
            error={
              field === "name" && mapping.name === undefined ? "Say which column has the names." : undefined
            }
            options={[["", "–"], ...names]}
            onChange={({ target: { value } }) =>
              onMap({ ...mapping, [field]: value === "" ? undefined : Number(value) })
            }
          />
        ))}
      </div>
    </fieldset>
  );
}
