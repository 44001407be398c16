import { itemPath, replayPath, tripPath, unpackPath } from "../paths";
import { PLACES } from "../edge/places";

/** Somewhere to go or something to do there, and the words that it is found by beside its name. */
export interface Goal {
  readonly name: string;
  readonly sort: "page" | "thing" | "trip" | "do";
  readonly href: string;
  readonly words: string;
  /** What is done to it. */
  readonly deeds?: () => readonly Goal[];
}

type Unsorted = Omit<Goal, "sort">;

/** Words for the pages of the edge that are not among those below. */
const TAB_WORDS: Readonly<Record<string, string>> = {
  "/": "home sheet all marks used unused overview grid strokes",
  "/trail": "on the way field lines write note walking today",
  "/unpack": "debrief back home came home mark marks after the trip",
  "/verdicts": "what to drop leave repair replace service prove add advice why judged",
  "/bench": "repair mend fix wash service jobs to do due buy shopping evening maintenance",
  "/next": "plan pack packing list take along what to bring coming trip",
  "/trips": "walks log history where been",
  "/shelf": "gear things owned inventory all my kit add",
  "/settings": "units school numbers look export save backup copy restore pair phone currency strokes legend",
};

/** Pages by what one would ask of them. */
const BENEATH: readonly Unsorted[] = [
  { name: "New trip", href: "/trips/new", words: "add enter plan walk track gpx" },
  {
    name: "Nights",
    href: "/trips/nights",
    words: "sleep bag quilt warm enough cold frost temperature low bed pad comfort label freezing",
  },
  {
    name: "Supplies: fuel, food, water, power",
    href: "/trips/supplies",
    words: "supplies gas left canister spirit how much food a day water battery bank charge boil dinners",
  },
  {
    name: "Loads",
    href: "/trips/loads",
    words:
      "base weight worn big three hobby kg km dead weight most heaviest trip share of load carried for nothing",
  },
  {
    name: "Season",
    href: "/season",
    words: "year score right wrong how good verdicts saved leaving swap worth it compare months",
  },
  {
    name: "Lists against lists",
    href: "/trips/compare",
    words: "compare difference lists lighter heavier changed",
  },
  {
    name: "Shakedown: what to try before a big walk",
    href: "/next/shakedown",
    words:
      "try near home test new mended garden night out rain frost load before the big trip what held trial is it sound prove",
  },
  {
    name: "Kits: lists by name and season",
    href: "/next/kits",
    words:
      "which of my kits saved list winter summer season change keep this list as a kit compare warm enough put in take out",
  },
  {
    name: "Your days: any list over them",
    href: "/next/replay",
    words:
      "replay without would have been missed past days what if I left it lighter list cold nights rain summer winter",
  },
  {
    name: "What your log tells of you",
    href: "/settings#learned",
    words: "taste learned forget habits insist lives with about me",
  },
  { name: "Ready", href: "/ready", words: "check looked over before leaving departure sound grade" },
  {
    name: "Money",
    href: "/shelf/money",
    words: "cost price spent a night a kilometre worth paid value expensive",
  },
  { name: "Weigh", href: "/shelf/weigh", words: "scale weight grams unweighed claimed" },
  { name: "Wish list", href: "/shelf/wishes", words: "wishes want buy new candidate instead lighter" },
  {
    name: "Side by side",
    href: "/shelf/beside",
    words: "compare two things which lasted longest shoes lives",
  },
  { name: "Import a list", href: "/shelf/import", words: "spreadsheet csv xlsx excel bring in" },
  {
    name: "The pack by worth",
    href: "/verdicts#pack",
    words: "heaviest dead weight worth grams order hobby kg km nothing",
  },
  { name: "What if", href: "/verdicts#what-if", words: "other school without try suppose" },
  {
    name: "The trade’s numbers",
    href: "/settings/numbers",
    words: "rules of thumb lives thresholds miles wear insoles",
  },
  { name: "Every number", href: "/settings/everything", words: "all numbers kinds table" },
];

const PAGES: readonly Goal[] = [
  ...PLACES.flatMap(({ href, label }) =>
    TAB_WORDS[href] === undefined ? [] : [{ name: label, href, words: TAB_WORDS[href] }],
  ),
  ...BENEATH,
].map((page) => ({ ...page, sort: "page" as const }));

const doing = (deed: Unsorted): Goal => ({ ...deed, sort: "do" });

/** What is done on no one thing. What an address of `/api` answers is a file. */
const DEEDS: readonly Unsorted[] = [
  { name: "Print the list", href: "/next#print", words: "packing list paper printed" },
  { name: "Save a copy of the log", href: "/api/log", words: "export backup download file json everything" },
  { name: "The shelf as CSV", href: "/api/shelf.csv", words: "export spreadsheet download table excel" },
  { name: "Jobs into your calendar", href: "/api/bench.ics", words: "export ical due dates remind download" },
  { name: "Add to the shelf", href: "/shelf#add", words: "new thing bought enter type lines gear item" },
];

/** A thing or a trip, as the palette is told of it. */
export interface Named {
  readonly id: string;
  readonly name: string;
  /** What it is found by beside its name. */
  readonly words: string;
}

/** What one asks of any thing, and its own page answers. */
const OF_A_THING = "wear worn far till until done lasts used washed weighs";

const ofAThing = ({ id, name }: Named): readonly Unsorted[] => [
  {
    name: `Log work on ${name}`,
    href: `${itemPath(id)}#between-trips`,
    words: "log work repair repaired mend mended wash washed service serviced done mark",
  },
  {
    name: `Change ${name}`,
    href: `${itemPath(id)}/edit`,
    words: "change edit correct rename weight price",
  },
  {
    name: `Your days without ${name}`,
    href: replayPath({ without: [id] }),
    words: "your days without replay leave it what if at home missed",
  },
];

const ofATrip = ({ id, name }: Named): readonly Unsorted[] => [
  { name: `Unpack ${name}`, href: unpackPath(id), words: "unpack debrief mark marks back home" },
  {
    name: `Change ${name}`,
    href: `${tripPath(id)}/edit`,
    words: "change edit correct legs dates weather",
  },
];

/** All that the palette goes to, the pages first: of two that are found alike, the one before. */
export const goalsOf = (items: readonly Named[], trips: readonly Named[]): readonly Goal[] => [
  ...PAGES,
  ...items.map((item): Goal => {
    const { id, name, words } = item;
    const deeds = () => ofAThing(item).map(doing);
    return { name, sort: "thing", words: `${words} ${OF_A_THING}`, href: itemPath(id), deeds };
  }),
  ...trips.map((trip): Goal => {
    const { id, name, words } = trip;
    return { name, sort: "trip", words, href: tripPath(id), deeds: () => ofATrip(trip).map(doing) };
  }),
  ...DEEDS.map(doing),
];
