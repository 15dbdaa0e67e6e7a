import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import { measured, PART_KINDS, type Room } from "../kinds";
import { readAssemblyFile } from "../reckoning";
import { contexts, library, openingOf } from "../testing/library";
import { feet, inches } from "../units";
import { countPart, quantityText } from "./index";

const guide = readFileSync(resolve(__dirname, "../../../../docs/assemblies.md"), "utf8");
const [, json = ""] = /```json\n([\s\S]*?)```/.exec(guide) ?? [];

/** A room of 12 by 10 ft with a door of 32 in. */
function room(): Room {
  const start = PART_KINDS.room.defaults("r", "Room", contexts.imperial);
  const [first] = start.runs;
  if (!first) throw new Error("a room begins with a wall");
  const runs = [12, 10, 12, 10].map((long, index) => ({ ...first, id: `w${index}`, length: measured(feet(long), "") }));
  const door = openingOf("door", "d", { positionNm: feet(2), widthNm: inches(32), heightNm: inches(82.5) });
  const assembly = { id: "skirting", version: 1 };
  return {
    ...start,
    runs,
    finished: true,
    openings: [{ ...door, hostId: "w0", rise: door.sill }],
    uses: [{ id: "u", assembly, choices: {} }],
  };
}

describe("the assembly worked through in the guide", () => {
  const read = readAssemblyFile(json);

  it("is one, with sound formulas", () => {
    expect(read).toMatchObject({ ok: true, problems: [] });
  });

  it("comes to what the guide says: 41 ft 4 in, 42 screws, a little over two hours", () => {
    if (!read.ok) throw new Error("the guide's assembly cannot be read");
    const { lines } = countPart(room(), "imperial", { ...library, assemblies: [read.assembly] });
    const quantities = lines.map((line) => quantityText(line.quantity, line.unit, "imperial"));
    // 41.33 ft over 2 ft is 20.7: 21 places of two. 41.33 × 3 minutes is 2.07 hours.
    expect(quantities).toEqual(["41.3 ft", "42 screws", "2.07 h"]);
  });
});
