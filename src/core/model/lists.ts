/**
 * The closed lists of the trade's words, as plain data: the schemas of `words.ts` are made of them, and so are
 * the choices of a page, which then needs no schema.
 */

export const OFFERS = ["beds", "kitchens", "toilets", "tap water", "shops", "sockets", "signal"] as const;
export const CONSEQUENCES = ["nuisance", "discomfort", "trip-ending", "danger"] as const;
export const LOADS = ["base", "worn", "consumable", "hobby"] as const;
export const WEAR_UNITS = [
  "m",
  "nights",
  "wet days",
  "called days",
  "L",
  "burns",
  "cycles",
  "days",
  "none",
] as const;
export const TERRAINS = ["soft", "mixed", "road", "mud", "sand", "rock"] as const;
export const STRENGTHS = ["none", "some", "strong"] as const;
export const USES = ["used", "hardly", "unused"] as const;
export const TROUBLES = ["nuisance", "damaged", "failed"] as const;
export const EXIT_HOWS = [
  "lost",
  "given away",
  "sent home",
  "posted ahead",
  "worn out",
  "thrown out",
  "swapped",
] as const;
export const SYMPTOMS = [
  "leaks air",
  "leaks gas",
  "lets water in",
  "wets out",
  "clogged or slow",
  "lost loft",
  "no charge",
  "dim or weak",
  "loose",
  "torn",
  "holed",
  "sole or tread",
  "worn thin",
  "bent",
  "broken",
  "zip or buckle",
  "mould",
  "smell",
  "noise",
  "dirty",
] as const;
export const COMPLAINT_WHATS = [
  "too heavy",
  "too bulky",
  "too big",
  "too small",
  "too cold",
  "too hot",
  "slow",
  "weak",
  "noisy",
  "leaks",
  "rubs or hurts",
  "slides",
  "fiddly or awkward",
  "stiff",
  "clammy",
  "fragile",
  "smells",
] as const;
export const WHYS_UNUSED = [
  "no call for it",
  "another did the job",
  "awkward",
  "uncomfortable",
  "too much of it",
  "cover",
  "trip cut short",
  "forgot it",
] as const;
export const CAUSES = ["worn", "defect", "weather", "misuse", "poor design", "flat or empty"] as const;
export const FROSTS = ["kept", "froze", "unknown"] as const;
export const OWNER_CALLS = [
  "bring again",
  "bring when",
  "leave",
  "fix",
  "replace",
  "try something else",
] as const;
export const FELTS = ["cold", "cool", "right", "warm", "hot"] as const;
/** What else than the bed makes a night cold. */
export const SPOILS = ["flat pad", "wet bed", "hungry", "ill", "something else"] as const;
export const SCHOOL_NAMES = ["lean", "even", "roomy", "wary"] as const;
export const VERB_NAMES = [
  "replace",
  "repair",
  "service",
  "prove",
  "drop",
  "bring only when",
  "slim",
  "swap",
  "add",
  "keep as cover",
  "keep",
] as const;
export const TRIGGERS = [
  "rain",
  "cold",
  "freezing",
  "heat",
  "sun",
  "bugs",
  "ticks",
  "snow or ice",
  "crossings",
  "dry stretch",
  "darkness",
  "no signal",
  "wind",
  "condensation",
  "injury",
  "breakage",
  "town",
  "camp time",
  "always",
] as const;
export const JOBS = [
  "shelter",
  "sleep warm",
  "pad",
  "pillow",
  "stay warm",
  "stay dry",
  "legs dry",
  "keep wind off",
  "base clothing",
  "spare clothing",
  "hands warm",
  "head warm",
  "walk",
  "camp shoes",
  "socks",
  "balance",
  "keep grit out",
  "traction",
  "carry",
  "keep kit dry",
  "treat water",
  "carry water",
  "cook",
  "eat",
  "fire",
  "light",
  "find the way",
  "call for help",
  "first aid",
  "mend",
  "power",
  "sun protection",
  "head shaded",
  "bug protection",
  "hygiene",
  "food",
  "food storage",
  "fuel",
  "sit",
  "photograph",
  "read",
  "other",
] as const;
export const STOWS = [
  "outside",
  "side",
  "hip",
  "shoulder",
  "lid",
  "main",
  "bag",
  "food",
  "hand",
  "worn",
] as const;
export const SURENESSES = ["leaning", "perhaps", "likely", "sure"] as const;
export const URGENCIES = ["now", "before next trip", "when convenient", "watch"] as const;
export const ENTRY_WHATS = [
  "wear",
  "damage",
  "wash",
  "repair",
  "service",
  "restock",
  "check",
  "trial",
  "loan",
  "own service",
] as const;
export const ITEM_STATES = [
  "active",
  "retired",
  "worn out",
  "lost",
  "given away",
  "given back",
  "sold",
  "thrown out",
  "wished",
] as const;
/** What advice asks for, as its owner's taste tells it apart. */
export const ADVICE_FAMILIES = ["leave it", "another sort", "thinner", "only when", "see to it"] as const;
export const BENCH_PLACES = ["home", "shop", "post", "near home"] as const;
export const SUPPLY_SORTS = [
  "fuel",
  "food",
  "breakfasts",
  "dinners",
  "meals",
  "snacks",
  "water",
  "power",
  "other",
] as const;
export const SERVICE_UNITS = ["m", "nights", "trips", "washes", "days"] as const;
export const FIXES = ["patched", "swapped", "went without"] as const;
export const COSTS = ["nothing", "discomfort", "a day", "the trip"] as const;

/** Most services that one thing, or one kind, has of its owner's own. */
export const MOST_SERVICES = 12;
/** Most parts that are told of one thing. */
export const MOST_PARTS = 20;

/** Air that a walker may have slept or walked in, °C. */
/** No night out is warmer than this at its coldest, °C. Common practice, no source. */
export const WARMEST_LOW = 35;
export const AIR = { coldest: -60, hottest: 50, why: "Between −60 and 50 °C (−76 and 122 °F)." } as const;

/** The grade of a thing that was seen to and is not right, 0 to 5. */
export const NOT_RIGHT = 2;
