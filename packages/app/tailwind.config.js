/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ["./app/**/*.tsx", "./src/**/*.tsx"],
  presets: [require("nativewind/preset")],
};
