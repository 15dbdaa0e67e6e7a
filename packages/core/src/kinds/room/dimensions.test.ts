import type { RoomOpening } from "../../parts/opening";
import { contexts } from "../../testing/library";
import { feet, inches } from "../../units";
import { newRoomOpening, rectangleDefaults } from "./defaults";
import { roomDimensions, withDimension } from "./dimensions";
import type { Room } from "./schema";

const context = contexts.imperial;
const start = rectangleDefaults("den", "Den", context);
const length = { valueNm: feet(12), typed: "", assumed: false };
const den: Room = { ...start, runs: start.runs.map((run) => ({ ...run, length })) };
function withOpening(kind: RoomOpening["kind"]): Room {
  const opening = newRoomOpening(den, "a", kind, "o", context);
  if (!opening) throw new Error("no room in 12 ft");
  return { ...den, openings: [opening] };
}

describe("the figures of an opening in a room", () => {
  const labels = (kind: RoomOpening["kind"]) =>
    roomDimensions(withOpening(kind))
      .filter(({ path }) => path.startsWith("openings."))
      .map(({ label }) => label);

  it("are what a tape can read of it: a sill where it can have one, a rise where it has an arch", () => {
    expect(labels("door")).not.toContain("Sill height");
    expect(labels("window")).toContain("Sill height");
    expect(labels("plain")).toContain("Sill height");
    expect(labels("arch").some((label) => /rise/i.test(label))).toBe(true);
    expect(labels("window").some((label) => /rise/i.test(label))).toBe(false);
  });

  it("set one another where a head is typed: its height is what is above the sill", () => {
    const raised = withDimension(withOpening("window"), "openings.o.sill", inches(30), '30"');
    const [opening] = withDimension(raised, "openings.o.head", inches(80), '80"').openings;
    expect(opening?.height).toEqual({ valueNm: inches(50), typed: '80"', assumed: false });
    expect(opening?.sill.valueNm).toBe(inches(30));
  });
});
