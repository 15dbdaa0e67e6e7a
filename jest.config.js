const swc = [
  "@swc/jest",
  { jsc: { parser: { syntax: "typescript" }, target: "es2022" }, module: { type: "commonjs" } },
];

const node = (displayName, roots, extra = {}) => ({
  displayName,
  roots,
  testEnvironment: "node",
  testMatch: ["**/*.test.ts"],
  // The libraries of solids and of polygons come as modules only.
  transform: { "^.+\\.tsx?$": swc, "(manifold-3d/manifold|clipper2-ts/dist/.+)\\.js$": swc },
  transformIgnorePatterns: ["/node_modules/(?!manifold-3d/|clipper2-ts/)"],
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
