import { fullness, roomText } from "./roomText";

describe("how much room is taken", () => {
  it("is said in counts, and in megabytes for photos", () => {
    expect(roomText("jobs", { used: 1204, most: 20_000 })).toEqual({ name: "Jobs", text: "1,204 of 20,000" });
    expect(roomText("photoBytes", { used: 3_240_000, most: 50_000_000_000 }).text).toBe("3.2 MB of 50,000 MB");
  });

  it("is said before it is met", () => {
    expect([79, 80, 99, 100, 101].map((used) => fullness({ used, most: 100 }))).toEqual([
      "room",
      "soon",
      "soon",
      "full",
      "full",
    ]);
  });
});
