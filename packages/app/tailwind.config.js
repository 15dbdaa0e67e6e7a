const colour = (name) => `rgb(var(--${name}) / <alpha-value>)`;

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ["./app/**/*.tsx", "./src/**/*.tsx"],
  presets: [require("nativewind/preset")],
  theme: {
    extend: {
      colors: {
        paper: colour("paper"),
        sheet: colour("sheet"),
        ink: colour("ink"),
        faint: colour("faint"),
        rule: colour("rule"),
        pine: { DEFAULT: colour("pine"), ink: colour("pine-ink"), wash: colour("pine-wash") },
        clay: { DEFAULT: colour("clay"), wash: colour("clay-wash") },
      },
      fontFamily: {
        text: ["Atkinson-Regular", "system-ui", "sans-serif"],
        strong: ["Atkinson-SemiBold", "system-ui", "sans-serif"],
        display: ["Besley-SemiBold", "Georgia", "serif"],
      },
    },
  },
};
