/** Imports point one way: app → ui, data, formats, standins, core; data, formats, standins → core; core → small pure packages. */
module.exports = {
  forbidden: [
    {
      name: "core-stands-alone",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.test\\.ts$" },
      to: { path: "^(src/(app|data|formats|ui|standins)|demo|tests)" },
    },
    {
      name: "core-needs-only-small-pure-packages",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.test\\.ts$" },
      to: { path: "node_modules", pathNot: "node_modules/(zod|date-fns|jstat)/" },
    },
    {
      name: "core-has-no-clock-network-or-disk",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.test\\.ts$" },
      to: { dependencyTypes: ["core"] },
    },
    {
      name: "data-and-formats-lean-on-core-only",
      severity: "error",
      from: { path: "^src/(data|formats|standins)", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/(app|ui)" },
    },
    {
      name: "data-and-formats-are-strangers",
      severity: "error",
      from: { path: "^src/(data|formats)", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/(data|formats|standins)", pathNot: ["^src/$1"] },
    },
    {
      name: "ui-knows-props-only",
      severity: "error",
      from: { path: "^src/ui" },
      to: { path: "^src/(app|data|formats)" },
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
