const { transformIgnorePatterns } = require("jest-expo/web/jest-preset.js");

module.exports = {
  displayName: "screens",
  preset: "jest-expo/web",
  roots: ["<rootDir>/src"],
  testMatch: ["**/*.test.tsx"],
  // Icons and dialogs come as modules of a kind that Node does not take as they are.
  transformIgnorePatterns: transformIgnorePatterns.map((each) =>
    each.replace("(.pnpm|", "(.pnpm|lucide-react-native|three|clipper2-ts|@rn-primitives|"),
  ),
};
