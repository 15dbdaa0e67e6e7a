import { normalPassword, passwordProblem } from "./passwordRules";

const ABOUT = ["Orla Featherstonehaugh", "orla@dunnock.example", "Dunnock & Daughters"];

/** NIST SP 800-63B-4, 3.1.1.2 (July 2025, from memory): the figures and rules that are checked here. */
describe("passwords by SP 800-63B-4", () => {
  it.each([
    ["has fifteen characters of any kind", "rain on the tin"],
    ["needs no capital, figure or mark", "larchgatekettle"],
    ["may have spaces, accents and pictures", "Döhnüts über 🏠 Marsch"],
    ["may be long", "a porch is a porch is a porch, said the mason, and went home ".repeat(3)],
  ])("one that %s is taken", (_, password) => expect(passwordProblem(password, ABOUT)).toBeUndefined());

  it("counts characters, not bytes or halves", () => {
    expect(passwordProblem("🏠🪵🔨🪚📐🧱🪜🚪🪟🛠🧰⛏🪛🔩", ABOUT)).toMatch(/This has 14/);
    expect(passwordProblem("fourteen chars", ABOUT)).toMatch(/At least 15/);
  });

  it.each([
    "passwordpassword",
    "Password-Password",
    "password12345678",
    "aaaaaaaaaaaaaaaaaaaa",
    "abcabcabcabcabcabc",
    "123456789012345678",
    "abcdefghijklmnop",
    "qwertyuiopasdfgh",
    "letmeinletmeinletmein",
    "1qaz2wsx1qaz2wsx",
  ])("refuses “%s”, which is tried first", (password) =>
    expect(passwordProblem(password, ABOUT)).toMatch(/tried first/),
  );

  it.each(["orla@dunnock.example", "Featherstonehaugh1", "Dunnock & Daughters", "wide porch password"])(
    "refuses “%s”, which others know",
    (password) => expect(passwordProblem(password, [...ABOUT, "Featherstonehaugh"])).toBeDefined(),
  );

  it("refuses more than it would hash in good time", () =>
    expect(passwordProblem("ab c".repeat(60), ABOUT)).toBeDefined());

  it("is the same password however a device composes its letters", () =>
    expect(normalPassword("u\u0308ber den Dächern")).toBe(normalPassword("über den Da\u0308chern")));
});
