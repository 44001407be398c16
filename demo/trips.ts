/** Fourteen walks over three years on islands that are on no map. */
export const TRIPS = [
  { name: "Saltpan loop", starts: "2024-04-13", ends: "2024-04-14", distance: "38 km", ascent: "620 m", terrain: "mixed", conditions: { rain: "some", cold: "some", sun: "some" } },
  { name: "Ember Rim", starts: "2024-05-18", ends: "2024-05-21", distance: "61 km", ascent: "2900 m", terrain: "rock", conditions: { rain: "none", sun: "strong", wind: "some", bugs: "none" } },
  { name: "Quillet in a day", starts: "2024-06-22", ends: "2024-06-22", distance: "24 km", ascent: "540 m", terrain: "soft", conditions: { rain: "none", sun: "strong", heat: "some", bugs: "some" } },
  { name: "Vask shore", starts: "2024-07-27", ends: "2024-08-02", distance: "112 km", ascent: "2100 m", terrain: "mud", conditions: { rain: "strong", bugs: "strong", wind: "some", crossings: "some" }, note: "Wet from the second day on." },
  { name: "October cape", starts: "2024-10-19", ends: "2024-10-21", distance: "41 km", ascent: "980 m", terrain: "mixed", conditions: { rain: "some", cold: "some", wind: "strong", bugs: "none" } },
  { name: "Hask plateau", starts: "2025-01-25", ends: "2025-01-27", distance: "33 km", ascent: "1150 m", terrain: "rock", conditions: { rain: "none", freezing: "strong", cold: "strong", "snow or ice": "none", wind: "some", sun: "some", bugs: "none" }, felt: [{ low: -9, felt: "cold", slept: ["Quilt"] }, { low: -6, felt: "cool", slept: ["Quilt"] }] },
  { name: "Tirrowen ridge", starts: "2025-04-19", ends: "2025-04-23", distance: "74 km", ascent: "4100 m", terrain: "rock", conditions: { rain: "some", cold: "some", wind: "strong", sun: "some", bugs: "none" } },
  {
    name: "The Long Quill", starts: "2025-06-07", ends: "2025-06-28",
    legs: [
      { name: "Harbour to the bothies", distance: "88 km", ascent: "1900 m", terrain: "soft" },
      { name: "The spine, south half", distance: "104 km", ascent: "5200 m", terrain: "rock" },
      { name: "The spine, north half", distance: "96 km", ascent: "4700 m", terrain: "rock" },
      { name: "Down to the light", distance: "98 km", ascent: "1300 m", terrain: "mixed" },
    ],
    conditions: { rain: "strong", bugs: "some", sun: "strong", wind: "some", crossings: "some", town: "some", heat: "some", cold: "some" },
    supplies: [{ what: "gas", unit: "g", out: 460, back: 118 }],
    made: ["Two-pole tent", "Trail poles", "Sun shirt"], stay: ["Folding chair", "Down vest", "Paperback"],
    missed: [{ what: "Sit mat", cost: "discomfort" }],
  },
  { name: "Low fells", starts: "2025-08-30", ends: "2025-08-31", distance: "26 km", ascent: "610 m", terrain: "soft", conditions: { rain: "none", sun: "some", bugs: "some" } },
  { name: "Cinder flats", starts: "2025-09-20", ends: "2025-09-23", distance: "58 km", ascent: "450 m", terrain: "sand", conditions: { rain: "none", heat: "strong", sun: "strong", "dry stretch": "strong", bugs: "none" } },
  { name: "Storm on Marl Head", starts: "2025-11-08", ends: "2025-11-09", distance: "22 km", ascent: "700 m", terrain: "mud", cut: true, conditions: { rain: "strong", wind: "strong", cold: "some", bugs: "none" }, note: "Five days planned; off the hill on the second." },
  { name: "Vask shore again", starts: "2026-04-25", ends: "2026-04-29", distance: "80 km", ascent: "1500 m", terrain: "mixed", conditions: { rain: "some", cold: "some", freezing: "some", crossings: "some", sun: "some", bugs: "none" }, missed: [{ what: "Sit mat", cost: "discomfort" }] },
  {
    name: "Sunder crossing", starts: "2026-07-11", ends: "2026-07-19",
    legs: [
      { name: "To the ford", distance: "63 km", ascent: "2100 m", terrain: "mixed" },
      { name: "Over and down", distance: "78 km", ascent: "2400 m", terrain: "rock" },
    ],
    conditions: { rain: "strong", bugs: "strong", crossings: "strong", sun: "some", wind: "some" },
    made: ["Bug head net", "Rain shell", "Two-pole tent"], stay: ["Spare water bag", "Camera", "Pack cover"],
  },
  { name: "Saltpan again", starts: "2026-09-12", ends: "2026-09-15", distance: "52 km", ascent: "880 m", terrain: "mixed", conditions: { rain: "some", sun: "some", bugs: "none", cold: "some" } },
];

/** What happened to things between trips. */
export const ENTRIES = [
  { item: "Trail shoes, pair 2", on: "2024-11-30", what: "wear", distance: "120 km", note: "to work and back, most days" },
  { item: "Trail shoes, pair 3", on: "2026-03-15", what: "wear", distance: "210 km", note: "to work and back, and day walks" },
  { item: "Two-pole tent", on: "2024-09-07", what: "repair", cost: 14, note: "floor and fly seams sealed" },
  { item: "Two-pole tent", on: "2026-10-10", what: "repair", cost: 9, note: "sealed again where the fly meets the pole sleeve" },
  { item: "Trail poles", on: "2025-02-10", what: "repair", cost: 8, note: "new lock lever, lower joint" },
  { item: "Air pad", on: "2024-11-02", what: "repair", cost: 6, note: "patched near the valve" },
  { item: "Air pad", on: "2025-07-06", what: "repair", cost: 6, note: "patched, a thorn this time" },
  { item: "Second filter", on: "2025-07-05", what: "service", note: "backflushed until it ran clear" },
  { item: "Rain shell", on: "2024-09-01", what: "service", note: "washed and reproofed" },
  { item: "Rain shell", on: "2025-07-12", what: "service", note: "washed and reproofed" },
  { item: "Quilt", on: "2025-07-20", what: "wash", cost: 22, note: "washed, dried two days" },
  { item: "First-aid kit", on: "2026-03-01", what: "restock", note: "new plasters, dates checked" },
  { item: "Repair kit", on: "2025-07-10", what: "restock", note: "patches and tape" },
  { item: "Pack", on: "2026-03-02", what: "check", note: "seams and buckles sound" },
  { item: "Gas stove", on: "2026-03-02", what: "service", note: "jet cleaned" },
  { item: "Beacon", on: "2026-04-01", what: "check", note: "test message went through" },
  { item: "Down jacket", on: "2025-10-05", what: "wash", cost: 12, note: "" },
  { item: "Boots", on: "2025-10-20", what: "damage", note: "mice had the left tongue in the shed" },
];
