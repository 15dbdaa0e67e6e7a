const swc = [
  "@swc/jest",
  { jsc: { parser: { syntax: "typescript" }, target: "es2022" }, module: { type: "commonjs" } },
];

const node = (displayName, roots, extra = {}) => ({
  displayName,
  roots,
  testEnvironment: "node",
  testMatch: ["**/*.test.ts"],
  // The libraries of solids, of polygons and of 3D come as modules only.
  transform: { "^.+\\.tsx?$": swc, "(manifold-3d/manifold|clipper2-ts/dist/.+|three/.+)\\.js$": swc },
  transformIgnorePatterns: ["/node_modules/(?!manifold-3d/|clipper2-ts/|three/)"],
  ...extra,
});

const withDatabase = {
  globalSetup: "<rootDir>/packages/server/testing/globalSetup.js",
  globalTeardown: "<rootDir>/packages/server/testing/globalTeardown.js",
};

module.exports = {
  // A hook that starts a server takes its time on a machine with other work on it.
  testTimeout: 30_000,
  testSequencer: "<rootDir>/scripts/lib/longestFirst.cjs",
  projects: [
    node("core", ["<rootDir>/packages/core/src", "<rootDir>/library"]),
    node("server", ["<rootDir>/packages/server/src"], withDatabase),
    node("sync", ["<rootDir>/e2e/interleavings"], withDatabase),
    // What draws nothing needs no browser's stand-in, and is read by the quick compiler.
    node("app", ["<rootDir>/packages/app/src"]),
    "<rootDir>/packages/app",
  ],
};
