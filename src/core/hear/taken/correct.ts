import {
  COMPLAINT_WHATS,
  EXIT_HOWS,
  FELTS,
  FIXES,
  FROSTS,
  OWNER_CALLS,
  SYMPTOMS,
  TROUBLES,
  USES,
  WHYS_UNUSED,
} from "../../model/lists";
import { HeardFact } from "../../model/fact";

/** A piece of a fact that can be picked: its words, or a number; a temperature in °C. */
export interface Piece {
  readonly field: string;
  readonly name: string;
  /** What can be picked; null: a number is typed. */
  readonly answers: readonly string[] | null;
}

const THING: readonly Piece[] = [
  { field: "use", name: "Used", answers: USES },
  { field: "why", name: "Why unused", answers: WHYS_UNUSED },
  { field: "trouble", name: "Trouble", answers: TROUBLES },
  { field: "symptoms", name: "What is wrong", answers: SYMPTOMS },
  { field: "fix", name: "Mended", answers: FIXES },
  { field: "complaints", name: "Complaint", answers: COMPLAINT_WHATS },
  { field: "exit", name: "How it left", answers: EXIT_HOWS },
  { field: "call", name: "Your call", answers: OWNER_CALLS },
  { field: "frost", name: "Frost", answers: FROSTS },
  { field: "pieces", name: "Pieces lost or broken", answers: null },
  { field: "enough", name: "Enough would be", answers: null },
  { field: "days", name: "Days used", answers: null },
];

const PIECES: Readonly<Record<HeardFact["about"], readonly Piece[]>> = {
  thing: THING,
  night: [
    { field: "low", name: "Low", answers: null },
    { field: "felt", name: "It felt", answers: FELTS },
    { field: "nights", name: "Nights", answers: null },
  ],
  amount: [
    { field: "how", name: "What of it", answers: ["out", "left", "used"] },
    { field: "value", name: "How much", answers: null },
  ],
  joined: [{ field: "how", name: "How it came", answers: ["bought", "found", "borrowed", "given"] }],
  missed: [],
};

/** The pieces of a fact, in the order that they are asked. */
export const piecesToPick = (fact: HeardFact): readonly Piece[] => PIECES[fact.about];

/** Fields that hold several words; a picker shows and sets the first. */
const LISTS: ReadonlySet<string> = new Set(["symptoms", "complaints"]);

/** What a piece says now; "" where it says nothing. */
export function pickedOf(fact: HeardFact, { field }: Piece): string {
  const value = new Map<string, unknown>(Object.entries(fact)).get(field);
  const shown: unknown = Array.isArray(value) ? value[0] : value;
  return typeof shown === "string" || typeof shown === "number" ? String(shown) : "";
}

/**
 * The fact with one piece put right; "" takes the piece away. Null where that can't be: a number that is
 * none, a piece that a night or an amount can't be without.
 */
export function corrected(fact: HeardFact, { field, answers }: Piece, picked: string): HeardFact | null {
  const { [field]: was, ...others } = fact as HeardFact & Record<string, unknown>;
  const rest = Array.isArray(was) ? was.slice(1) : [];
  const value = answers === null ? Number(picked.replace(",", ".").replace("−", "-")) : picked;
  const next = LISTS.has(field) ? [value, ...rest.filter((each) => each !== value)] : value;
  const empty = rest.length > 0 ? { [field]: rest } : EMPTY[field];
  const read = HeardFact.safeParse({ ...others, ...(picked === "" ? empty : { [field]: next }) });
  return read.success ? read.data : null;
}
/** What a piece is where it says nothing; any other is left out. */
const EMPTY: Readonly<Record<string, object>> = { low: { low: null }, felt: { felt: null } };

/** A fact of another thing. */
export const ofThing = (fact: HeardFact, item: string): HeardFact | null => {
  const read = HeardFact.safeParse({ ...fact, item });
  return read.success ? read.data : null;
};
