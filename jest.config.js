const swc = [
  "@swc/jest",
  { jsc: { parser: { syntax: "typescript" }, target: "es2022" }, module: { type: "commonjs" } },
];

const node = (displayName, roots, extra = {}) => ({
  displayName,
  roots,
  testEnvironment: "node",
  testMatch: ["**/*.test.ts"],
  transform: { "^.+\\.tsx?$": swc },
  ...extra,
});

module.exports = {
  projects: [
    node("core", ["<rootDir>/packages/core/src", "<rootDir>/library"]),
    node("server", ["<rootDir>/packages/server/src"], {
      globalSetup: "<rootDir>/packages/server/testing/globalSetup.js",
      globalTeardown: "<rootDir>/packages/server/testing/globalTeardown.js",
    }),
    "<rootDir>/packages/app",
  ],
};
