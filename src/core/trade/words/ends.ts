import type { ExitHow, OwnerCall } from "../../model";
import { anyOf, word, type Row, pieced } from "./any-of";

/*
 * How people put it, as rows: another language is another table. A row is read over a clause in plain lower-case
 * words, in which
 * each thing that is named stands as `T`. Common practice, no source.
 */

/** The owner's own calls. */
export const CALLS: readonly Row<OwnerCall>[] = [
  {
    is: word(
      "never again|leave (it|them|that|those|these)( at home| behind| out)?$",
      "not (taking|bringing|carrying) (it|that|this|them|those|T|the T|my T) again",
      "(not|wouldnt|dont|never) (take|bring|carry|pack) (it|that|them|those|T|the T|my T) again",
      "wont (take|bring|carry) (it|that|them|those|T|the T|my T)",
      "(stays|staying|stay) (at )?home (next time|for good|from now)",
      "(it|that|T|they|those|these|this)( one)? (stays?|can stay|is staying|goes back) (at )?home",
      "leav(e|ing) (it|that|them|those|T|the T) (at home|behind|in the \\w+)",
      "to leave (behind|at home|out)",
      "(should|shouldve|could|couldve)( easily| well| just| really| happily| all)? (have )?(stayed|been left|stayed)",
      "wish(ed)? (id|i had) left|could go\\b|shouldve stayed|has had its last",
      "leav(e|ing) (it|that|them) (at )?home|could have (done without|left|stayed)",
      "couldve (done without|left|stayed)|not worth (it|its weight|carrying|the weight)",
      "done with (it|T)|not (coming|going) again|last time (it|they) (came|come)",
    ),
    gives: "leave",
  },
  {
    is: anyOf(
      /\bonly (for|when|if|in|with)\b/,
      /\bjust (for|when) (winter|summer|cold|the cold|rain|frost|snow)\b/,
      /\bstay(s|ing) home in (june|july|august|summer|winter|spring)\b/,
    ),
    gives: "bring when",
  },
  {
    is: word(
      "again next time|a keeper|comes again|comes? (with me )?(every|next) time",
      "(its|it is|theyre) coming again|taking (it|them|that|those|these|T|the T) again",
      "take (it|them|that|those|T|the T|my T) again|comes? (along )?(again|every time)|coming again",
      "always (comes|come) along",
      "(id|i would|ill|will) (take|bring|pack|carry) (it|them|that|the T|my T|T) again",
      "bring(ing)? (it|them|that) again",
      "would(nt)? (take|bring) (the )?(it|them|T)( only| again)?|wouldnt go without|goes again",
      "again next|saved the",
    ),
    gives: "bring again",
  },
  {
    is: anyOf(
      pieced(
        "\\b(needs?|must|has to|have to|want(s)?|to be) (be )?(mend(ed|ing)?|sew(n|ing)?|fix(ed|",
        "ing)?|repair(ed|ing)?|seal(ed|ing)?|see(n)? to|a (stitch|mend|service|clean))\\b",
      ),
      /\b(fix|mend|repair|sew) (it|them|that) (at home|when|before|properly)\b/,
      /\bto the (mender|cobbler|tailor|shop for repair)\b/,
      /\bneeds? (fixing|mending|sewing|sealing|stitching|seeing to|repairing|looking at|a patch)\b/,
      pieced(
        "\\b(must|have to|ill|i should|needs to|has to|got to) (sew|mend|fix|repair|patch|glue|",
        "seal|stitch|restitch|be (sewn|mended|fixed|repaired|sealed|glued|looked at))\\b",
      ),
      /\b(have|need|want) to look at (it|that|them)\b/,
      /\btake (it|that|them) apart and\b/,
      /\bput (it )?right\b/,
    ),
    gives: "fix",
  },
  {
    is: anyOf(
      pieced(
        "\\b(time for|must get|must buy|need|needs|get|want|wants|(?<!had to )buy|buying|due) (a |",
        "an |some |for )?(new|another) (pair of )?(T|ones?|pair)\\b",
      ),
      /\b(needs?|wants?) (replacing|to be replaced)\b/,
      /\breplac(e|ing) (it|them|that|those|these|T|the T)\b/,
      /\b(i|ill|must|time to|have to|need to|going to) (get|buy) (a |some )?new\b/,
      /\bon (its|their) last legs\b/,
      /\bneed (a |an |some )?(proper|decent|better|working|real) (one|ones|T)\b/,
      /\bnew (ones?|pair) (next|before|for)\b/,
    ),
    gives: "replace",
  },
  {
    is: anyOf(
      pieced(
        "\\b(try|find|get|want|look for|need|id like|like) (something|anything|some|another|",
        "a different|a lighter|a warmer|a better|something else)( else| one| sort)?\\b",
      ),
      /\bnext time (something|another|a different|a (thicker|lighter|warmer|better))\b/,
      /\bsomething (thicker|lighter|warmer|better|else|smaller|bigger|simpler|quieter|drier|softer|sturdier)\b/,
      /\b(ill|i want to|want to|going to) try (another|something|a)\b/,
      /\bwant another( one| sort)?\b/,
    ),
    gives: "try something else",
  },
];

/** It made the trip. */
export const MADE = pieced(
  "\\b(made|saved|makes) (the|my|our|this) (whole )?(trip|weekend|week|walk|holiday|tour)\\b|",
  "\\bmade it (too|as well|for me)\\b",
);
/** It could have stayed at home. */
export const STAYED =
  /\b(could|should|shouldve|couldve)( easily| well| just| really| happily| all)? (have )?(stayed|been left|left)\b/;

/** What was done about a thing. */
export const DONE: readonly Row<"repair" | "wash" | "service" | "restock">[] = [
  { is: /\b(washed|rinsed|laundered)\b(?! (away|ashore|up|down))/, gives: "wash" },
  {
    is: word(
      "backflush(ed)?|flush(ed)?|greas(ed|ing)|wax(ed|ing)?|reproof(ed)?|oil(ed)?|cleaned",
      "clean (it|them|that|the)|descal(ed)?|lub(ed|ricated)|proof(ed)?|soaked it|serviced",
    ),
    gives: "service",
  },
  {
    is: word(
      "refill(ed)?|restock(ed)?|topped up the|(batteries|battery) (changed|replaced|renewed)",
      "changed the (batteries|battery)|(?<!needs? |wants? )fresh (batteries|battery|plasters)",
      "(?<!needs? |wants? )new (batteries|plasters)|filled (it )?up|filled the",
    ),
    gives: "restock",
  },
  {
    is: word(
      "sew(ed|n)?|stitch(ed)?|glu(ed)?|patched|patch (it|them|that)|mend(ed)?|tap(ed)|seal(ed)?",
      "repair(ed)?|fixed|darn(ed)?|sewed",
    ),
    gives: "repair",
  },
];

/** Patched up on the way, where the harm is told with it. */
export const PATCHED = word(
  "patch(ed)?|tap(ed)( up)?|sew(ed|n)|stitch(ed)?|glu(ed)|pinn(ed)|pins|tied (it|a|up|off)",
  "wired|mended|darned|cord (does|did|holds)|with (tape|pins|cord|string|a pin|floss)",
  "kept it shut|shut it|safety pins?|held with|does it now|splint(ed)?|bodged",
  "fixed (it )?with|a stone",
);
export const WENT_WITHOUT = pieced(
  "\\bate cold\\b|\\bcold (suppers?|meals?|dinners?|food)\\b|\\b(did|do|went|go|managed|doing|",
  "going) without\\b|\\bnothing instead\\b",
);

/** How a thing left before the end, the surer words first. */
export const EXITS: readonly (readonly [ExitHow, RegExp])[] = [
  [
    "posted ahead",
    /\b(sent|posted|mailed)\b.*\b(on )?ahead\b|\bon ahead\b|\b(sent|posted|mailed) ((the |my )?T on|on (the |my )?T)\b/,
  ],
  [
    "sent home",
    anyOf(
      /\b(sent|posted|mailed|went|took) (it |them |the |my )*(T )?(back )?home\b/,
      /\bparcel (back )?home\b/,
      /\bbox (back )?home\b/,
      /\b(sent|posted|mailed)( the| my)? T (back|home)\b/,
      /\bin the post\b/,
      /\b(in )?(the |that )same (parcel|box)\b/,
    ),
  ],
  [
    "given away",
    anyOf(
      /\b(gave|given|donated)( \w+)?( the| my)? ?T? ?(for good|away|to (?!my|our|me|us|wear|use|try)\w+\b)/,
      /\b(left|went)( \w+)?( the| my)? ?T? ?(for good|away|to (a|the|some|an|somebody|someone|another)\b)/,
      pieced(
        "\\bwent to (a|some|the|an) (\\w+ )?(kid|boy|girl|child|couple|man|woman|walker|hiker|",
        "shepherd|warden|friend|stranger)\\b",
      ),
      pieced(
        "\\bgave (?!\\w+ (?:the |my )?T to carry)(?!the\\b|my\\b|it\\b|up\\b|me\\b|us\\b)\\w+ (the |my )?T\\b(?!.*\\b(",
        "back|for (the|a|an|one|that) (night|day|evening|hour|while|stage))\\b)",
      ),
      /\bleft (it |them |that |(the |my )?T )?for (the next|somebody|someone|others|whoever|anyone|another|a)\b/,
    ),
  ],
  [
    "thrown out",
    word(
      "binned|threw (it|them|the T|T|away|out)|thrown (out|away)|chucked|dumped|in the bin",
      "went in the bin|ditched",
    ),
  ],
  [
    "worn out",
    pieced(
      "\\b(worn out|retired|walked (to death|to bits|into the ground)|is shot|are shot|shot|",
      "done for|had it|had had it)\\b|^\\W*T (is |are )?done\\b|\\bwore (the |my |our )?T (right )?out$",
    ),
  ],
  [
    "lost",
    pieced(
      "\\b(lost|gone missing|went missing|blew (off|away)|left (behind|(my |the )?T (in|at|",
      "on|behind|under|beside|by the)(?! \\d))|dropped (it )?(in|off|over)|washed away|vanished|disappeared|",
      "stolen|stayed behind|got left|was left behind|mislaid)\\b|\\bleft (it|them) (at|on|",
      "in) (?!the (pack|tent|bag|car|pocket|lid|box))|\\bT left (behind|on the|at the)\\b|",
      "\\bT (is |are |has gone )?(gone|missing)$",
    ),
  ],
];

/** What was lacking, as its first group. */
export const MISSED: readonly RegExp[] = [
  /\bwhat (?:did )?(?:i|we) (?:really |most )?miss(?:ed)?(?: most)?(?: was| were| is)? ?(?:,|:)? ?(.+)$/,
  /\b(?:thing|things) (?:i|we) (?:really |most )?missed(?: was| were| is)? ?(?:,|:)? ?(.+)$/,
  pieced(
    "\\b(?:should(?:ve| have)? (?:brought|taken|packed)|wish i(?:d| had)?(?: had| brought|",
    " taken| packed)?|wished? for|missed|needed|would have (?:liked|loved)) (.+)$",
  ),
  /\bwhat (?:i|we)(?:d| would)? ?have given for (.+)$/,
  /\bwhat id have given for (.+)$/,
  /\bwhat was missing(?: was| were)? ?(?:,|:)? ?(.+)$/,
  /\bid have (?:liked|loved|given anything for) (.+)$/,
  /\bwant(?:ed)? (.+?) next time\b/,
  /\bcould(?: have| ve)? (?:do|done) with (.+)$/,
  /^(.+?) would(?:ve| have) been (?:good|nice|lovely|handy|useful|great)\b/,
];
/** A clause that tells of it. */
export const MISSING =
  /\b(miss(ed|ing)?|needed|wish(ed)?|should(ve| have)?|would(ve)?|want(ed)?|could|given|liked|loved)\b/;

/** "Missed" and "needed" where no thing was wanted. */
export const NOT_MISSED = anyOf(
  /\bmissed (the|a) (bus|ferry|train|turn|path|boat)\b/,
  /\bneeded (it|them|that|mending|fixing|a (rest|day|shop)|to|the T)\b/,
);

/** What became of the old ones, said behind what was bought. */
export const OLD_ONES_GONE = anyOf(
  pieced(
    "\\b(mine|one pair of the old ones|the old ones?|the ones? i)\\b.*?\\b(binned|lost|thrown out|",
    "threw out|given away|worn out|shot)\\b",
  ),
  /\b(binned|lost|threw|chucked)\b.*\b(mine|old ones?)\b/,
);
