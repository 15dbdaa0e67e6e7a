/** Core follows the flow of the data: a step imports only from steps before it. */
const FLOW = [
  "problems",
  "migrations",
  "units",
  "geometry",
  "drawing",
  "parts",
  "plan",
  "assemblies",
  "layouts",
  "count",
  "order",
  "price",
  "quote",
  "job",
  "formats",
];

const flowRules = FLOW.map((step, index) => ({
  name: `core-flow-${step}`,
  comment: `${step}/ may import only from the steps before it`,
  severity: "error",
  from: { path: `^packages/core/src/${step}/`, pathNot: "\\.test\\.ts$" },
  to: { path: FLOW.slice(index + 1).map((later) => `^packages/core/src/${later}/`) },
})).filter((rule) => rule.to.path.length > 0);

module.exports = {
  forbidden: [
    {
      name: "no-circular",
      severity: "error",
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
    },
    {
      name: "core-stands-alone",
      comment: "core knows no interface, no server, no Node and no library data",
      severity: "error",
      from: { path: "^packages/core/src", pathNot: ["\\.test\\.ts$", "^packages/core/src/testing/"] },
      to: { path: ["^packages/(app|server)", "^library", "node_modules/(react|react-native|expo|express|typeorm)/"] },
    },
    {
      name: "core-no-node",
      severity: "error",
      from: { path: "^packages/core/src", pathNot: ["\\.test\\.ts$", "^packages/core/src/testing/"] },
      to: { dependencyTypes: ["core"] },
    },
    { name: "app-not-server", severity: "error", from: { path: "^packages/app" }, to: { path: "^packages/server" } },
    { name: "server-not-app", severity: "error", from: { path: "^packages/server" }, to: { path: "^packages/app" } },
    {
      name: "core-by-its-door",
      comment: "other packages import core by its index",
      severity: "error",
      from: { pathNot: "^packages/core" },
      to: { path: "^packages/core/src/(?!index\\.ts$)" },
    },
    ...flowRules,
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: ["/dist/", "node_modules/.cache"] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.base.json" },
    enhancedResolveOptions: {
      extensions: [".ts", ".tsx", ".js", ".json"],
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "default"],
    },
  },
};
