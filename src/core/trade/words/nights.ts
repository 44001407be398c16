/** A temperature that stands on a label was nobody's night. */
export const ON_LABEL =
  /\b(label|says|said|rated|rating|comfort|limit|supposed|promised|forecast|good to|down to)\b/;
/** Said of all the nights that are told. */
export const EACH_NIGHT = /\b(both|each|every|all) (times|nights|night)\b|\bas always\b|\balways\b/;
