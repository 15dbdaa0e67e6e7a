const swc = [
  "@swc/jest",
  { jsc: { parser: { syntax: "typescript" }, target: "es2022" }, module: { type: "commonjs" } },
];

const node = (displayName, roots, extra = {}) => ({
  displayName,
  roots,
  testEnvironment: "node",
  testMatch: ["**/*.test.ts"],
  // The library of solids comes as a module only.
  transform: { "^.+\\.tsx?$": swc, "manifold-3d/manifold\\.js$": swc },
  transformIgnorePatterns: ["/node_modules/(?!manifold-3d/)"],
  ...extra,
});

const withDatabase = {
  globalSetup: "<rootDir>/packages/server/testing/globalSetup.js",
  globalTeardown: "<rootDir>/packages/server/testing/globalTeardown.js",
};

module.exports = {
  // A hook that starts a server takes its time on a machine with other work on it.
  testTimeout: 30_000,
  projects: [
    node("core", ["<rootDir>/packages/core/src", "<rootDir>/library"]),
    node("server", ["<rootDir>/packages/server/src"], withDatabase),
    node("sync", ["<rootDir>/e2e/interleavings"], withDatabase),
    "<rootDir>/packages/app",
  ],
};
