import type { ItemId, Mark, Stow, Use } from "@/core/model";
import { markOf } from "@/core/model/plain-mark";
import type { Panel } from "../panel/panel-questions";
import { nextUnmarked, pocketsOf, type Marks, type Thing } from "./pockets";

/** A mark made, changed, or taken back (null). */
export interface Change {
  readonly item: ItemId;
  readonly mark: Mark | null;
  /** What was shown, that it was changed from. */
  readonly from: Mark | null;
}

/** Where the debrief stands: plain data, whatever draws it. */
export interface Unpacking {
  /** Made here, over what the server knows: that may have been marked in another tab meanwhile. */
  readonly made: Marks;
  /** Said of a thing before its use is marked: a condition, a call, a note. It goes out with the mark. */
  readonly drafts: ReadonlyMap<ItemId, Partial<Mark>>;
  readonly focus: ItemId;
  readonly panel: { readonly item: ItemId; readonly kind: Panel } | null;
  /** What stood there before each change, the newest last: what undo brings back. */
  readonly before: readonly (readonly Change[])[];
}

/** What one may do, by key, thumb or mouse. */
export type Act =
  | { readonly do: "use"; readonly item: ItemId; readonly use: Use; readonly byKey: boolean }
  | { readonly do: "say"; readonly item: ItemId; readonly more: Partial<Mark> }
  | { readonly do: "fail"; readonly item: ItemId }
  | { readonly do: "rest used" }
  | { readonly do: "undo" }
  | { readonly do: "focus"; readonly item: ItemId }
  | { readonly do: "panel"; readonly item: ItemId; readonly kind: Panel | null }
  | { readonly do: "step"; readonly by: 1 | -1 }
  | { readonly do: "step pocket"; readonly by: 1 | -1 };

/** What an act leaves, and the marks that have to be saved. */
interface Acted {
  readonly state: Unpacking;
  readonly changes: readonly Change[];
}

export const beginUnpacking = (things: readonly [Thing, ...Thing[]]): Unpacking => ({
  made: new Map(),
  drafts: new Map(),
  focus: (things.find(({ mark }) => mark === null) ?? things[0]).id,
  panel: null,
  before: [],
});

/** Marks as they stand: what was made here over what the server knows. */
export const marksOf = (things: readonly Thing[], made: Marks): Marks =>
  new Map([...things.map(({ id, mark }) => [id, mark] as const), ...made]);

/** What has just joined on the way may not be here yet: then the first stands for it. */
export const focusedOf = (things: readonly [Thing, ...Thing[]], focus: ItemId): Thing =>
  things.find(({ id }) => id === focus) ?? things[0];

/** A mark with more said of it: what was said before stays, whatever key comes after. */
const markWith = (known: Mark | null | undefined, more: Partial<Mark> & Pick<Mark, "use">): Mark => ({
  ...(known ?? markOf(more.use)),
  ...more,
});

/** What is said of a thing may imply its use before anybody marks it. */
const impliedUse = (more: Partial<Mark>): Use | undefined => {
  if (more.troubles?.length || more.complaints?.length) return "used";
  return more.why ? "unused" : undefined;
};

/** Once the server has shown what it kept of them, marks made here stand no more over what it knows. */
export const settled = (state: Unpacking, isPending: (item: ItemId) => boolean): Unpacking => {
  const made = new Map([...state.made].filter(([item]) => isPending(item)));
  return made.size === state.made.size ? state : { ...state, made };
};

const unchanged = (state: Unpacking): Acted => ({ state, changes: [] });

const changed = (state: Unpacking, marks: Marks, made: readonly Omit<Change, "from">[]): Acted => {
  const changes = made.map(({ item, mark }) => ({ item, mark, from: marks.get(item) ?? null }));
  return {
    state: {
      ...withMade(state, changes),
      before: [...state.before, changes.map(({ item, mark, from }) => ({ item, mark: from, from: mark }))],
    },
    changes,
  };
};

const withMade = (state: Unpacking, changes: readonly Change[]): Unpacking => ({
  ...state,
  made: new Map([...state.made, ...changes.map(({ item, mark }) => [item, mark] as const)]),
});

const focusOn = (state: Unpacking, item: ItemId | undefined): Unpacking =>
  item === undefined ? state : { ...state, focus: item };

/** Said into its mark, or beside it until there is one. */
function say(state: Unpacking, marks: Marks, item: ItemId, more: Partial<Mark>): Acted {
  const known = marks.get(item);
  const draft = state.drafts.get(item);
  const use = known?.use ?? more.use ?? impliedUse(more);
  if (!use) return unchanged({ ...state, drafts: new Map(state.drafts).set(item, { ...draft, ...more }) });
  return changed(state, marks, [{ item, mark: markWith(known, { ...draft, use, ...more }) }]);
}

function markUse(state: Unpacking, things: readonly Thing[], marks: Marks, act: Act & { do: "use" }): Acted {
  const { item, use, byKey } = act;
  const mark = markWith(marks.get(item), { ...state.drafts.get(item), use });
  const acted = changed({ ...state, panel: null }, marks, [{ item, mark }]);
  const next = nextUnmarked(things, new Map([...marks, [item, mark]]), item);
  // By thumb the rows stay where they are, until the pocket is empty and the next one opens.
  const isEmptied = next?.stow !== things.find(({ id }) => id === item)?.stow;
  return { ...acted, state: focusOn(acted.state, next && (byKey || isEmptied) ? next.id : item) };
}

function fail(state: Unpacking, marks: Marks, item: ItemId): Acted {
  const known = marks.get(item)?.troubles ?? [];
  const troubles = [...known.filter((trouble) => trouble !== "failed"), "failed" as const];
  const { state: after, changes } = say(state, marks, item, { use: "used", troubles });
  return { state: { ...after, focus: item, panel: { item, kind: "trouble" } }, changes };
}

function restUsed(state: Unpacking, things: readonly Thing[], marks: Marks, open: Stow): Acted {
  const rest = things.filter(({ id, stow }) => stow === open && !marks.get(id));
  const last = rest.at(-1);
  if (!last) return unchanged(state);
  const changes = rest.map(({ id }) => ({
    item: id,
    mark: markWith(null, { ...state.drafts.get(id), use: "used" }),
  }));
  const acted = changed(state, marks, changes);
  const next = nextUnmarked(things, marksOf(things, acted.state.made), last.id);
  return { ...acted, state: focusOn(acted.state, next?.id) };
}

function undo(state: Unpacking): Acted {
  const changes = state.before.at(-1);
  if (!changes) return unchanged(state);
  const after = { ...withMade(state, changes), before: state.before.slice(0, -1), panel: null };
  return { state: focusOn(after, changes[0]?.item), changes };
}

function stepPocket(state: Unpacking, things: readonly Thing[], open: Stow, by: 1 | -1): Acted {
  const pockets = pocketsOf(things);
  const pocket = pockets[pockets.indexOf(open) + by];
  return unchanged({ ...focusOn(state, things.find(({ stow }) => stow === pocket)?.id), panel: null });
}

/** What an act leaves of the debrief; nothing is sent here. */
export function acted(state: Unpacking, act: Act, things: readonly [Thing, ...Thing[]]): Acted {
  const marks = marksOf(things, state.made);
  const { id, stow: open } = focusedOf(things, state.focus);
  switch (act.do) {
    case "use":
      return markUse(state, things, marks, act);
    case "say":
      return say(state, marks, act.item, act.more);
    case "fail":
      return fail(state, marks, act.item);
    case "rest used":
      return restUsed(state, things, marks, open);
    case "undo":
      return undo(state);
    case "focus":
      return unchanged(focusOn(state, act.item));
    case "panel":
      return unchanged({
        ...focusOn(state, act.item),
        panel: act.kind && { item: act.item, kind: act.kind },
      });
    case "step": {
      const at = things.findIndex((thing) => thing.id === id) + act.by;
      return unchanged({ ...focusOn(state, things[at]?.id), panel: null });
    }
    case "step pocket":
      return stepPocket(state, things, open, act.by);
  }
}
