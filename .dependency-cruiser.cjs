/** Core follows the flow of the data: a step imports only from steps before it. */
const FLOW = [
  "problems",
  "migrations",
  "units",
  "geometry",
  "drawing",
  "parts",
  "wall",
  "ground",
  "joists",
  "kinds",
  "plan",
  "assemblies",
  "layouts",
  "builds",
  "count",
  "model",
  "order",
  "ledger",
  "price",
  "quote",
  "job",
  "formats",
];

/** What a step is made of. How a kind is built lies in the kind's own folder, and stands after the assemblies. */
const BUILDS = "^packages/core/src/kinds/([^/]+/build/|builds\\.ts$)";
const filesOf = (step) => (step === "builds" ? BUILDS : `^packages/core/src/${step}/`);
const butBuilds = (step) => (step === "kinds" ? [BUILDS] : []);

const flowRules = FLOW.map((step, index) => ({
  name: `core-flow-${step}`,
  comment: `${step}/ may import only from the steps before it`,
  severity: "error",
  from: { path: filesOf(step), pathNot: ["\\.test\\.ts$", ...butBuilds(step)] },
  to: { path: FLOW.slice(index + 1).map(filesOf) },
})).filter((rule) => rule.to.path.length > 0);

module.exports = {
  forbidden: [
    {
      name: "no-circular",
      severity: "error",
      comment: "types count too: a circle of types is one file cut in two at the wrong place",
      from: {},
      to: { circular: true },
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
      name: "migrations-stand-alone",
      comment: "a migration is what it was: today's starters and records would make it another",
      severity: "error",
      from: { path: "^packages/server/src/database/.*[sS]tarters", pathNot: "\\.test\\.ts$" },
      to: { path: ["^library", "^packages/core"] },
    },
    {
      name: "core-by-its-door",
      comment: "other packages import core by its two doors",
      severity: "error",
      from: { pathNot: "^packages/core" },
      to: { path: "^packages/core/src/(?!(index|reckoning)\\.ts$)" },
    },
    {
      name: "pages-do-not-reckon",
      comment: "compiling, laying out, counting and cutting are the worker's and the server's",
      severity: "error",
      from: { path: "^packages/app", pathNot: ["^packages/app/src/worker/", "\\.test\\.ts$"] },
      to: { path: "^packages/core/src/reckoning\\.ts$" },
    },
    {
      name: "pages-ask-the-worker",
      comment: "the worker's own files would bring the reckoning into the page's script",
      severity: "error",
      from: { path: "^packages/app", pathNot: ["^packages/app/src/worker/", "\\.test\\.ts$"] },
      to: {
        path: "^packages/app/src/worker/(reckon\\.worker|countCache|cutCache)",
        dependencyTypesNot: ["type-only"],
      },
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
