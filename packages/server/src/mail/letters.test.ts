import { asName, confirmLetter, invitationLetter, newDeviceLetter } from "./letters";

/** What programs that read mail make a link of, about: a protocol, `www.`, or a name of the net with its ending; an address for mail. */
const LINK = /(\w+:\/\/|www\.\S|[\p{L}\d-]+\.\p{L}{2,}|\S@\S)/u;
const OURS = "https://porch.example/invitation#abc";

describe("a letter", () => {
  it.each([
    "https://evil.example/pay",
    "evil.example",
    "www.evil.example",
    "Ros <ros@evil.example>",
    "evil\u3002example",
    "javascript:alert(1)",
    "[press](http://evil.example)",
    "Two\r\nLines http://evil.example\u2028three",
  ])("has no link in it but its own, whatever somebody calls themselves: %s", (name) => {
    const about = { company: name, by: name, link: OURS, days: 14 };
    for (const { subject, text } of [
      invitationLetter("a@b.example", about),
      confirmLetter("a@b.example", { company: name, link: OURS, hours: 48 }),
      newDeviceLetter("a@b.example", { place: "203.0.113.9", userAgent: name }, new Date(0)),
    ]) {
      expect(subject).not.toMatch(LINK);
      expect(subject).not.toMatch(/[\r\n\u2028]/);
      expect(text.replace(OURS, "")).not.toMatch(LINK);
    }
  });

  it("leaves plain names as they are", () => {
    expect(asName("Ros Adeyemi-Lund")).toBe("Ros Adeyemi-Lund");
    expect(asName("Dunnock & Daughters Ltd.")).toBe("Dunnock & Daughters Ltd.");
    expect(asName("J.R. Marrow")).toBe("J. R. Marrow");
  });

  it("is not made long by a name", () => {
    expect(asName("x".repeat(160))).toHaveLength(80);
  });
});
