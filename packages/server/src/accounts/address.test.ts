import { emailSchema, newEmailSchema, normalAddress } from "./address";

describe("an address for mail", () => {
  it("is kept without blanks at its ends and with small letters", () => {
    expect(normalAddress("  Orla@Puddock.Example\t")).toBe("orla@puddock.example");
  });

  // Unicode: U+212A KELVIN SIGN and U+0130 are letters whose small form is, or begins with, one of ASCII.
  it.each([
    "\u212aite@example.com",
    "W\u0130ren@example.com",
    "rós@example.com",
    "ros@exämple.com",
    "ro\u00adss@example.com",
  ])("%s stays apart from any of plain letters", (typed) => {
    expect(normalAddress(typed)).toMatch(/[^\u0020-\u007e]/);
    expect(newEmailSchema.safeParse(typed).success).toBe(false);
  });

  it("of more than 190 characters is none", () => {
    expect(emailSchema.safeParse(`${"a".repeat(190)}@b.example`).success).toBe(false);
  });
});
