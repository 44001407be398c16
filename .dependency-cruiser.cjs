/** Imports point one way: app → ui, data, formats, standins, core; data, formats, standins → core; core → small pure packages. */
const notTests = "\\.test\\.tsx?$";

/** The layers of the core, the lowest first; each may lean on those before it and on itself. */
const LAYERS = [
  ["units", "sums"],
  ["model"],
  ["trade"],
  ["ledger", "shelf", "track", "weather"],
  ["belief"],
  ["decide"],
  ["reasons"],
  ["advice"],
  ["ask", "weighin", "hear", "compare"],
  ["say"],
  ["plan", "jobs", "seasons", "replay", "shakedown"],
];
const layers = LAYERS.map((names, n) => ({
  name: `core-${names.join("-")}-leans-down-only`,
  severity: "error",
  from: { path: `^src/core/(${names.join("|")})/`, pathNot: notTests },
  to: {
    path: "^src/core/",
    pathNot: `^src/core/(${LAYERS.slice(0, n + 1)
      .flat()
      .join("|")})/`,
  },
}));

module.exports = {
  forbidden: [
    ...layers,
    {
      name: "core-has-layers-only",
      severity: "error",
      from: { path: "^src/core/[^/]+\\.ts$" },
      to: {},
    },
    {
      name: "core-stands-alone",
      severity: "error",
      from: { path: "^src/core", pathNot: notTests },
      to: { path: "^(src/(app|data|formats|ui|standins)|demo|tests|measure)" },
    },
    {
      name: "core-needs-only-small-pure-packages",
      severity: "error",
      from: { path: "^src/core", pathNot: notTests },
      to: {
        path: "node_modules",
        pathNot: "node_modules/(zod|date-fns|jstat|geographiclib-geodesic|simplify-js|yalps)/",
      },
    },
    {
      name: "core-has-no-clock-network-or-disk",
      severity: "error",
      from: { path: "^src/core", pathNot: notTests },
      to: { dependencyTypes: ["core"] },
    },
    {
      name: "data-and-formats-lean-on-core-only",
      severity: "error",
      from: { path: "^src/(data|formats|standins)", pathNot: notTests },
      to: { path: "^src/(app|ui)" },
    },
    {
      name: "data-and-formats-are-strangers",
      severity: "error",
      from: { path: "^src/(data|formats)", pathNot: notTests },
      to: { path: "^src/(data|formats|standins)", pathNot: ["^src/$1"] },
    },
    {
      name: "ui-knows-props-only",
      severity: "error",
      from: { path: "^src/ui" },
      to: { path: "^src/(app|data|formats)" },
    },
    {
      name: "pages-read-advice-and-derive-nothing",
      severity: "error",
      from: { path: "^src/(app|ui|formats|standins)", pathNot: notTests },
      to: { path: "^src/core/(reasons|decide|belief)/" },
    },
    {
      name: "no-circles",
      severity: "error",
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    exclude: { path: "^\\.next" },
  },
};
