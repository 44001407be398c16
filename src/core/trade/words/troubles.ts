import type { Complaint, Symptom } from "../../model";
import { anyOf, word, type Row, pieced } from "./any-of";

/*
 * How people put it, as rows: another language is another table. A row is read over a clause in plain lower-case
 * words, in which
 * each thing that is named stands as `T`. Common practice, no source.
 */

export interface TroubleRow {
  readonly is: RegExp;
  readonly trouble?: "damaged";
  readonly symptom?: Symptom;
  /** Said of these kinds or jobs only. */
  readonly only?: (thing: { readonly kind: string; readonly jobs: readonly string[] }) => boolean;
}

const isAir = ({ kind, jobs }: { readonly kind: string; readonly jobs: readonly string[] }) =>
  kind === "inflatable pad" || kind === "pillow" || (jobs.includes("pad") && kind !== "foam pad");
export const isShoe = ({ jobs }: { readonly jobs: readonly string[] }) =>
  jobs.includes("walk") || jobs.includes("camp shoes");
const isPower = ({ kind, jobs }: { readonly kind: string; readonly jobs: readonly string[] }) =>
  jobs.includes("light") ||
  jobs.includes("power") ||
  kind === "phone" ||
  kind === "camera" ||
  kind === "beacon";
const isFilter = ({ jobs }: { readonly jobs: readonly string[] }) => jobs.includes("treat water");
const isStove = ({ kind }: { readonly kind: string }) => kind === "stove";
const isRain = ({ jobs }: { readonly jobs: readonly string[] }) =>
  jobs.includes("stay dry") || jobs.includes("legs dry") || jobs.includes("keep kit dry");

const isHard = (kind: string) =>
  ["water bottle", "bottle", "mug", "pot", "poles", "sunglasses", "phone", "head torch"].includes(kind);

/** What is seen to be wrong with a thing. */
export const TROUBLES: readonly TroubleRow[] = [
  {
    is: anyOf(
      pieced(
        "\\b(went|goes|go|was|is|gone|lay)? ?(dead )?flat (by|on the|at|in the|all|every|again|",
        "within|after|overnight|before)\\b.*",
      ),
      /\bon the ground by\b/,
    ),
    symptom: "leaks air",
    trouble: "damaged",
    only: isAir,
  },
  {
    is: anyOf(
      /\b(los(es|t|ing)|leak(s|ed|ing)?) (its |some |the )?air\b/,
      /\b(went|goes|going|gone) (soft|down)\b/,
      /\bsoft by\b/,
      /\btopped (it )?up\b/,
      /\bdeflat\w*/,
      /\b(slow )?puncture\w*/,
      /\b(dead )?flat\b/,
      /\bleak(s|ed|ing)?\b/,
    ),
    symptom: "leaks air",
    trouble: "damaged",
    only: isAir,
  },
  {
    is: /\bhiss(es|ed|ing)?\b|\bsmell(s|ed)? of gas\b|\bleak(s|ed|ing)? gas\b/,
    symptom: "leaks gas",
    trouble: "damaged",
    only: isStove,
  },
  {
    is: anyOf(
      /\blet(s|ting)? (the |in )?(rain|water|wet|damp|it)? ?(in|through)\b/,
      /\b(mists?|sprays?|sweats?) through\b/,
      /\b(water|rain|wet) (got|gets|came|comes|went|ran|finds its way) (in|inside|through)\b/,
      /\bsoaked (to|from) the\b/,
      /(?<!\bthe )\bdrip(s|ped|ping)?\b/,
      /\bpuddles?\b/,
      /(?<!\b(?:cold|wind|draught|chill|light) )came (straight |right )?through\b/,
      /(?<!\b(?:cold|wind|draught|chill|light) )comes (straight |right )?through\b/,
      /\bsoaked (right |straight |clean )?(through|me)\b/,
      /\bseep(s|ed)\b/,
    ),
    symptom: "lets water in",
    trouble: "damaged",
  },
  {
    is: /\bleak(s|ed|ing|y)?\b/,
    symptom: "lets water in",
    trouble: "damaged",
    only: (thing) => isRain(thing) || thing.jobs.includes("shelter") || isShoe(thing),
  },
  {
    is: pieced(
      "(?<!\\bthe )\\bwet(s|ted)? (out|through)\\b|\\bdoesnt bead\\b|\\bno longer beads?\\b|\\b(never|",
      "not) beads?\\b|\\bdamp again\\b",
    ),
    symptom: "wets out",
  },
  {
    is: pieced(
      "\\bclog(s|ged|ging)?\\b|\\bdribbl\\w+|\\b(barely|hardly|no longer|wont|doesnt) flow(s|",
      "ing)?\\b|\\bsilted\\b|\\bblocked\\b",
    ),
    symptom: "clogged or slow",
  },
  {
    is: /\bslow(er|ly)?\b|\b(takes?|took) (\d+|ten|five|an?|for) (min|minutes?|ages|ever|hour|age)\b|\btrickl\w+/,
    symptom: "clogged or slow",
    only: isFilter,
  },
  {
    is: anyOf(
      /\blost (its |the |some |most of its |a bit of |all its )?loft\b/,
      /\blost (some|much|most) of its loft\b/,
      /\bloft (is |has )?gone\b/,
      /\bclump(s|ed|y|ing)?\b/,
      /\bflatter\b/,
      pieced(
        "\\b(filling|fill|down|insulation|feathers) (has |have |is |are )?(all )?(slid|shifted|",
        "moved|clumped|migrated|sunk)\\b",
      ),
      /\bno loft\b/,
      /\b(isnt|not|no longer|less) (as |so )?(lofty|puffy|fluffy)\b/,
      /\b(flat|thin) as a\b/,
    ),
    symptom: "lost loft",
    only: ({ jobs }) => jobs.includes("sleep warm") || jobs.includes("stay warm"),
  },
  {
    is: anyOf(
      /\b(dead )?flat\b/,
      /\bno charge\b/,
      /\bwont (hold|take) (a |its )?charge\b/,
      /\bempty by\b/,
      /\b(ran|run) (flat|empty|down)\b/,
    ),
    symptom: "no charge",
    only: isPower,
  },
  {
    is: /\b(was |is |went |gone |getting |got )?(very |so |too )?dim(mer|med)?\b|\bflicker\w*|\bdown to a glow\b/,
    symptom: "dim or weak",
    only: isPower,
  },
  {
    is: anyOf(
      pieced(
        "\\b(broke|snapped|tore|cracked|bust|busted|broken|went|gone|jammed|stuck|split|splits|",
        "off its tape|come off its tape|wont close|burst|popped)\\b.*\\b(zip|zipper|buckle|clip)\\b",
      ),
      pieced(
        "\\b(zip|zipper|buckle|clip|slider)\\b.*\\b(gave (up|out)|failed|missing|teeth|skips?|",
        "runs off|undone|parts|opens|open|broke|broken|snapped|snaps|cracked|bust|busted|went|",
        "gone|jammed|jams|stuck|sticks|catches|split|splits|come off|came off|tape|wont|burst|",
        "popped|bites|off)\\b",
      ),
    ),
    symptom: "zip or buckle",
    trouble: "damaged",
  },
  {
    is: anyOf(
      pieced(
        "\\b(mid ?)?soles?\\b.*\\b(fold(ed|s)?|collaps\\w+|crack(ed|s)?|peel\\w*|off|hanging|through|",
        "gone|loose|flap\\w*|split|coming|came|come|smooth|bald|worn)\\b",
      ),
      /\b(peel\w*|flapping|loose) soles?\b/,
      /\bsoles? (are |is )?through\b/,
      /\btread (is |has |are )?(gone|worn|bald|smooth)\b/,
      pieced(
        "\\b(lugs?|cleats?|studs?|treads?) (is |are |have |has )?(nearly |almost |all |half )?(flat|",
        "gone|worn|smooth|rounded)\\b",
      ),
      /\bbald\b/,
    ),
    symptom: "sole or tread",
    trouble: "damaged",
    only: isShoe,
  },
  {
    is: anyOf(
      /\btips? (is |are |was |were )?(worn|gone|through|off)\b/,
      /\bworn (tips|feet)\b/,
      /\b(worn|wore) (out|through) again\b/,
    ),
    symptom: "sole or tread",
    trouble: "damaged",
    only: ({ jobs }) => jobs.includes("balance"),
  },
  {
    is: anyOf(
      /\bworn (thin|through|so thin)\b/,
      /\bworn out (at|on|along|under) (the )?(cuffs?|elbows?|knees?|shoulders?|seat|hem|heels?|edges?)\b/,
      /\b(are|is|gone|wearing|as) thin as\b/,
      /\bsee - through\b/,
      /\bthreadbare\b/,
      /\bfray(ed|ing|s)?\b/,
      /\bsee through\b/,
      /\b(gone|going|getting|wearing) thin\b/,
      /\b(elbows?|knees?|seat|cuffs?|heels?) (is |are |has )?(gone|thin|through|worn)\b/,
    ),
    symptom: "worn thin",
    trouble: "damaged",
  },
  {
    is: /\b(split|burst|crack(s|ed)?)\b/,
    symptom: "broken",
    trouble: "damaged",
    only: ({ kind, jobs }) => isHard(kind) || jobs.includes("cook"),
  },
  {
    is: anyOf(
      /\btor(e|n)\b/,
      /\btearing\b/,
      /\bpulled (out|off|away)\b/,
      /\bcame (open|unstitched|undone)\b/,
      /\bripp?(ed|s)?\b/,
      /\btears?\b(?! (up|drop))/,
      /\ba rip\b/,
      /\bsplit\b/,
      /\bseam\b.*\b(open|came|went|split|gone|burst|let go)\b/,
      /\bguy ?(point|line|loop)?\b.*\b(tore|pulled|out|off)\b/,
    ),
    symptom: "torn",
    trouble: "damaged",
  },
  {
    is: anyOf(
      /(?<!\b(?:last|belt|button) )\bholes?\b/,
      /\b(gone|through|out) at the (toes?|heels?|knees?|elbows?|seat|crotch)\b/,
      /\bthrough at (the |both |one )/,
      /\bholed\b/,
      /\bpinholes?\b/,
      /\bburnt? (a |through|hole)\b/,
      /\bmice\b/,
      /\bmouse\b/,
      /\bpunctured\b/,
      /\bthorn\b/,
    ),
    symptom: "holed",
    trouble: "damaged",
  },
  {
    is: /\bmend(y|ed)? bent\b|\bbent\b|\bbends?\b(?! down)|\bkinked\b|\bcrooked\b/,
    symptom: "bent",
    trouble: "damaged",
  },
  {
    is: anyOf(
      /\bsnapped\b/,
      /\b(blew|blown|turned|flipped) inside out\b/,
      /\b(ribs?|spokes?) (is |are |has |have )?(gone|bent|out)\b/,
      /\bbroke(n)?\b(?! (camp|off at|in\b))/,
      /\bcracked\b/,
      /\bin two\b/,
      /\b(came|come|comes|coming) apart\b/,
      /\bfell apart\b/,
      /\bin half\b/,
      /\bshattered\b/,
      /\bbust(ed)?\b/,
      /\bsheared\b/,
      /\bcame off\b/,
      /\bhas come off\b/,
    ),
    symptom: "broken",
    trouble: "damaged",
  },
  { is: /\bmould(y|ed)?\b|\bmold(y)?\b|\bmildew\w*|\bspotty\b|\bblack spots\b/, symptom: "mould" },
  {
    is: pieced(
      "\\bloose(ned|ns)?\\b|\\bwont (lock|tighten|stay (up|put|shut))\\b|\\bkeeps? (collapsing|",
      "sliding down)\\b|\\bcollaps(es|ed) (under|on)\\b|\\bkeeps? slipping\\b|\\bwobbl\\w+\\b(?! (on|",
      "over|in) (the|shingle|stones|rock))|\\brattles\\b",
    ),
    symptom: "loose",
  },
  { is: /\bsoot(y)?\b|\bfilthy\b|\bdirty\b|\bgrimy\b|\bcaked\b|\bblack with\b/, symptom: "dirty" },
];

/** It stopped doing its job. */
export const FAILED = word(
  "died|dead(?! weight)|(?<!\\b(?:we|i|they) )packed up|(?<!\\b(?:i|we) )gave up( the ghost)?",
  "gave out|given up|failed|conked out|bust",
  "(wont|wouldnt|would not|doesnt|didnt) (light|start|turn on|spark|strike)(?!.*\\buntil\\b)",
  "wont work|stopped working|no spark|went out on me|stayed out|useless|kaputt",
  "done for(?! (the |my )?T)|useless now|broken for good|quit|no (earthly )?use",
  "no good( any more)?|no longer works?|that was that|that was the end|end of (it|that|them)",
  "did(nt| not) keep the (rain|water|wet|wind) out|is finished|are finished|not one more",
  "beyond (repair|mending)",
  "(couldnt|could not|cant|cannot) get (it|them|the T|my T|T) (going|to (light|work|start)|lit|started|on)",
  "drowned|gave up on me|packed in|came to nothing|stayed dead|no good after",
);

/** Parts of things. */
export const PARTS = word(
  "igniter|piezo|zip|zipper|seam|pole|handle|stitching|valve|hose|lid|button|lock|cap|strap",
  "buckle|handle|screen|cable|port|clip|cord|loop|toggle|tip|rib|ribs|arm|lens|tine|plug",
  "switch|hinge|wire|nozzle|mouthpiece",
);

/** A part of a thing went missing, and the rest is there: "lost the lid of the pot", "the pot's lid is gone". */
export const PART_LOST = new RegExp(
  [
    `\\blost (the |my |its |a |one )*(\\w+ )?${PARTS.source}( of (the |my )?T| off (the |my )?T)`,
    `\\blost (the |my )?T ('s )?${PARTS.source}`,
    `\\bT ('s )?${PARTS.source} (is |was )?(gone|lost|missing)\\b`,
  ].join("|"),
);

/** What annoys about a thing that was used. */
export const COMPLAINTS: readonly Row<Complaint["what"]>[] = [
  {
    is: anyOf(
      /\btoo heavy\b/,
      /\b(its|theyre|is|are|was|were|so|very|really) (so |very |really |just )?heavy\b/,
      /\bweighs? (a ton|too much|like)\b/,
      /\bheavy (thing|lump|beast|brute)\b/,
      /\ba brick\b/,
      /\b(twice|double|half again) the weight\b/,
    ),
    gives: "too heavy",
  },
  {
    is: /\btoo bulky\b|\b(is|are|was|so|very|really) bulky\b|\bbulky (thing|lump)\b|\btakes? up (half|all|too much)\b/,
    gives: "too bulky",
  },
  { is: /\btoo (big|large|long|wide|loose on me)\b/, gives: "too big" },
  { is: /\btoo (small|short|tight|narrow|shallow)\b|\bpinch(es|ed)?\b/, gives: "too small" },
  {
    is: pieced(
      "\\btoo (cold|thin)\\b|\\bcold (comes|came) (straight |right )?(up )?through\\b|\\bnot warm enough\\b|",
      "\\bfroze in it\\b",
    ),
    gives: "too cold",
  },
  { is: /\btoo (hot|warm)\b|\bboiled in it\b/, gives: "too hot" },
  { is: /\bclammy\b|\bsweat(y|s|ed)\b|\bwet inside\b|\bsteams? up\b|\bcondensation\b/, gives: "clammy" },
  {
    is: anyOf(
      /\brub(s|bed|bing)?\b/,
      /\b(gave me|got|raised|had) (a |some )?blisters?\b/,
      /\bblisters? .*\b(from|in|with|off) (the |my )?T\b/,
      /\bblister(ed|s) (me|my)\b/,
      /\bhurt(s)?\b/,
      /\bsore\b/,
      /\bchaf(es?|ed|ing)\b/,
      /\bdigs? in(to)?\b/,
      /\bdug into\b/,
      /\bdug in\b/,
      /\bpress(es|ed)\b/,
      /\bhips? (hurt|ached)\b/,
      /\baching\b/,
      /\bscratch(y|es)\b/,
      /\bitch(y|es)\b/,
    ),
    gives: "rubs or hurts",
  },
  {
    is: /\bslid(es|ing)?\b|\bslips?\b|\bslipped\b|\bslippery\b|\bslithers?\b|\bno grip\b|\brides up\b|\bslides off\b/,
    gives: "slides",
  },
  {
    is: anyOf(
      /\bnois(y|e)\b/,
      /\bsqueak(s|y|ed)?\b/,
      /\bcrackl(es|y)\b/,
      /\brustl(es|y)\b/,
      /\bcrinkl(es|y)\b/,
      /\bloud\b/,
      /\bflaps? all night\b/,
      /\bcreak(s|y)?\b/,
    ),
    gives: "noisy",
  },
  { is: /\bsmell(s|y|ed)?\b|\bstinks?\b|\bstank\b|\breeks?\b|\bpongs?\b/, gives: "smells" },
  {
    is: anyOf(
      /\bfiddly\b/,
      /\bsticks\b/,
      /\btoo (fiddly|awkward|complicated)\b/,
      /\ba faff\b/,
      /\bawkward\b/,
      /\bclumsy\b/,
      /\ba pain to\b/,
      /\ba nuisance to\b/,
    ),
    gives: "fiddly or awkward",
  },
  { is: /\bstiff\b|\btoo hard\b|\bhard as\b/, gives: "stiff" },
  { is: /\btoo (flimsy|fragile|delicate)\b|\bflimsy\b|\bfragile\b/, gives: "fragile" },
  { is: /\bslow\b(?! (leak|puncture))|\btakes? (ages|forever|for ever)\b/, gives: "slow" },
  { is: /\bweak\b|\bfeeble\b|\bnot bright enough\b|\btoo dim\b/, gives: "weak" },
  { is: /\bleak(s|ed|ing|y)?\b|\bdrips\b/, gives: "leaks" },
];

/** Ground and weather that a complaint is about. */
export const COMPLAINT_PLACES: readonly Row<NonNullable<Complaint["on"]>>[] = [
  { is: /\b(in|with|for) (the |any |heavy |all the )?(rain|wet|downpour)\b/, gives: "rain" },
  { is: /\bon (the |wet |hard )?(tarmac|road|roads|asphalt)\b/, gives: "road" },
  { is: /\bon (the |wet |bare )*(rock|rocks|slabs?|stone)\b/, gives: "rock" },
  { is: /\b(in|on) (the |wet |deep )?(mud|bog)\b/, gives: "mud" },
  { is: /\b(in|on) (the )?sand\b/, gives: "sand" },
  { is: /\bin (the |any |strong )?(wind|gusts?|gale)\b/, gives: "wind" },
  { is: /\bin (the |hard )?(frost|freezing)\b/, gives: "freezing" },
  { is: /\bin the cold\b/, gives: "cold" },
  { is: /\bin the (heat|sun)\b/, gives: "heat" },
  { is: /\b(in|on) (the )?(snow|ice)\b/, gives: "snow or ice" },
];
