import { pieced } from "./any-of";

import type { Felt } from "../../model";
import type { Row } from "./any-of";

/** How warm a night was. */
export const FELTS: readonly Row<Felt>[] = [
  { is: /\b(froze|freezing|shiver(ed|ing)?|shaking|shook|numb|cold|bitter|perished)\b/, gives: "cold" },
  { is: /\b(cool|chilly|nippy|coolish|on the cool side|not quite warm enough)\b/, gives: "cool" },
  { is: /\b(hot|sweat(ed|ing|y)?|boil(ed|ing)|roast(ed|ing)|too warm)\b/, gives: "hot" },
  {
    is: pieced(
      "\\b(just right|right|fine|ok|okay|good|comfortable|comfy|cosy|warm enough|perfect|",
      "spot on|all right|alright|happy)\\b",
    ),
    gives: "right",
  },
  { is: /\b(warm|toasty|snug)\b/, gives: "warm" },
];

/** A temperature that stands on a label was nobody's night. */
export const ON_LABEL =
  /\b(label|says|said|rated|rating|comfort|limit|supposed|promised|forecast|good to|down to)\b/;
/** Said of all the nights that are told. */
export const EACH_NIGHT = /\b(both|each|every|all) (times|nights|night)\b|\bas always\b|\balways\b/;
