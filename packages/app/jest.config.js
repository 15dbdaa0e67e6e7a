module.exports = {
  displayName: "app",
  preset: "jest-expo/web",
  roots: ["<rootDir>/src"],
  testMatch: ["**/*.test.ts", "**/*.test.tsx"],
};
