import { measured, PART_KINDS, type Part, rectangleDefaults } from "../kinds";
import { planJob, resolveStorey, resolveSurface } from "../plan";
import { assemblyOf, contexts, library, openingOf, wallOf } from "../testing/library";
import { rectangle, roofOf } from "../testing/roofs";
import { entered } from "../testing/rooms";
import { withoutEffectOn } from "../testing/withoutEffect";
import { feet } from "../units";

const window = openingOf("window", "w", {
  positionNm: feet(5),
  widthNm: feet(7),
  heightNm: feet(4),
  sillNm: feet(3),
});
describe("every choice there is reaches the count", () => {
  const hall = entered(
    { ...rectangleDefaults("hall", "Hall", contexts.imperial) },
    { "runs.a.length": "16'", "runs.b.length": "12'", "ceiling.height": "9'" },
  );
  const den = {
    ...entered(rectangleDefaults("den", "Den", contexts.imperial), { "runs.a.length": "8'", "runs.b.length": "12'" }),
    place: { how: "joined" as const, toRoomId: "hall", toRunId: "b", runId: "d", offset: measured(0, "") },
  };
  const plan = planJob([hall, den]);
  const lining = wallOf("imperial", { lengthNm: feet(29), heightNm: feet(9), openings: [window] });
  const parts: Readonly<Record<string, Part>> = {
    room: hall,
    spots: { ...PART_KINDS.spots.defaults("s", "Doors", contexts.imperial), count: 7 },
    "stud-wall": lining,
    area: {
      ...PART_KINDS.area.defaults("a", "Deck", contexts.imperial),
      length: measured(feet(12), ""),
      width: measured(feet(9), ""),
    },
    length: { ...PART_KINDS.length.defaults("l", "Run", contexts.imperial), length: measured(feet(40), "") },
    surface: resolveSurface(
      { ...PART_KINDS.surface.defaults("f", "Wall", contexts.imperial), roomId: "hall", surfaceId: "wall/a" },
      plan,
    ),
    roof: roofOf("imperial", rectangle(feet(40), feet(24), ["eave", "gable", "eave", "gable"]), { pitch: 0.5 }),
    storey: resolveStorey(PART_KINDS.storey.defaults("g", hall.storey, contexts.imperial), plan),
  };
  const added = library.assemblies.filter((each) => each.slot === undefined && each.system === "imperial");
  it.each(added.map((each) => each.id))("of what is added to a part: %s", (id) => {
    const part = parts[assemblyOf("imperial", id).appliesTo];
    if (!part) throw new Error(`no part to try “${id}” on`);
    expect(withoutEffectOn(part, id, "imperial")).toEqual([]);
  });
});
