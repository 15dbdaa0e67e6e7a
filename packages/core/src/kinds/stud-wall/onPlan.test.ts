import { migrate } from "../../migrations/migrate";
import { measured } from "../../parts/dimension";
import { enterDimension } from "../../parts/entry";
import { contexts, wallOf } from "../../testing/library";
import { feet } from "../../units";
import type { WallOnPlan } from "../../wall";
import { PART_KINDS, partSchema } from "../registry";
import type { StudWall } from "./schema";

const kind = PART_KINDS["stud-wall"];
const context = contexts.imperial;
const onPlan = (stretch: WallOnPlan["stretch"]): StudWall => ({
  ...wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8) }),
  plan: { roomId: "hall", hostId: "b", stretch },
});

describe("a stud wall on the plan", () => {
  it("has its length and openings typed in the room, and its height here", () => {
    const slots = kind.dimensions(onPlan({ how: "whole" }), context);
    expect(slots.map((slot) => [slot.path, slot.typedOn?.path])).toEqual([
      ["length", "runs.b.length"],
      ["height", undefined],
    ]);
    expect(slots[0]?.typedOn?.partId).toBe("hall");
  });

  it("takes the ends of a stretch as figures, and keeps a wrong one beside", () => {
    const stretch = onPlan({ how: "part", from: measured(0, "0"), to: measured(feet(4), "4'") });
    const changed = enterDimension(kind, stretch, "plan.to", "5'6", context).part;
    expect(changed.plan?.stretch).toMatchObject({ how: "part", to: { valueNm: feet(5.5), typed: "5'6" } });
    const refused = enterDimension(kind, stretch, "plan.from", "here", context);
    expect(refused.problem).toBeDefined();
    expect(refused.part.plan?.stretch).toMatchObject({ from: { valueNm: 0, refused: "here" } });
    expect(() => kind.withDimension(onPlan({ how: "whole" }), "plan.from", 1, "1", context)).toThrow("plan.from");
  });

  it("has no open point for what the room says", () => {
    const paths = kind
      .openPoints({ ...onPlan({ how: "whole" }), length: { valueNm: null, typed: "", assumed: false } }, context)
      .map((point) => point.path);
    expect(paths).not.toContain("length");
  });
});

describe("a stud wall from before the plan", () => {
  it("is lifted to stand by itself, and is then what its schema takes", () => {
    const now = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8) });
    const { plan: _plan, ends: _ends, meetings: _meetings, notes: _notes, photos: _photos, choices, ...old } = now;
    const { spacing, studSize, topPlates, bearing, sheathed } = choices;
    const of = (value: unknown) => ({ value, assumed: false });
    const parameters = {
      spacingNm: of(spacing),
      studSize: of(studSize),
      topPlates: of(topPlates),
      bearing: of(bearing),
      sheathed: of(sheathed),
      bottomPlates: { value: 1, assumed: true },
    };
    const lifted = migrate({ ...old, parameters, schemaVersion: 1 }, kind.migrations);
    expect(lifted.ok && partSchema.parse(lifted.value)).toEqual(now);
  });

  it("made by a newer version is refused, not guessed at", () => {
    expect(migrate({ schemaVersion: 7 }, kind.migrations)).toMatchObject({ ok: false, problem: { code: "too-new" } });
  });
});
