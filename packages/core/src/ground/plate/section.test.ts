import type { Raft } from "../../kinds/raft";
import { extentOf } from "../../testing/extent";
import { raftOf } from "../../testing/ground";
import { contexts } from "../../testing/library";
import { PLAIN } from "../../testing/plainRaft";
import { millimetres } from "../../units";
import { plateSection } from "./section";

describe("the section shows what is chosen, and its figures are those that are typed", () => {
  const section = (choices: Raft["choices"], edgeForm: Raft["edgeForm"] = "toe") => {
    const figures = { ...PLAIN, toeWidth: "200 mm", toeDepth: "150 mm" };
    const drawn = plateSection(raftOf("metric", figures, { edgeForm, toes: ["a"], choices }), contexts.metric);
    if (!drawn) throw new Error("it has no section");
    return {
      roles: new Set(drawn.rectangles.map(({ role }) => role)),
      paths: drawn.dimensions.map(({ path }) => path),
      drawn,
    };
  };

  it.each<[string, Raft["choices"], string]>([
    ["blinding", { blinding: 0 }, "blinding"],
    ["fill", { fill: 0 }, "fill"],
    ["membrane", { membrane: false }, "ground-membrane"],
    ["links", { linkSpacing: 0 }, "link"],
  ])("%s taken out is taken out of it", (_, without, role) => {
    const all = { insulation: millimetres(100), screed: millimetres(65) };
    expect(section(all).roles).toContain(role);
    expect(section({ ...all, ...without }).roles).not.toContain(role);
  });

  it("insulation and screed are there once they are chosen; the toe once there is one", () => {
    expect(section({}).roles).not.toContain("screed");
    expect([...section({ screed: millimetres(65), insulation: millimetres(80) }).roles]).toEqual(
      expect.arrayContaining(["screed", "ground-insulation"]),
    );
    expect(section({}, "beam").roles).not.toContain("toe");
  });

  it("is as large as what is drawn on it, whatever is chosen", () => {
    const ways: readonly Raft["choices"][] = [
      {},
      { screed: millimetres(65), insulation: millimetres(80) },
      { fill: 0, blinding: 0 },
    ];
    for (const choices of ways) {
      for (const edgeForm of ["toe", "beam"] as const) {
        const { drawn } = section(choices, edgeForm);
        const { fromNm, toNm, lowNm, highNm } = extentOf(drawn);
        expect([fromNm, lowNm]).toEqual([0, 0]);
        expect([toNm, highNm]).toEqual([drawn.widthNm, drawn.heightNm]);
      }
    }
  });

  it("is to scale: what is written on it is as long as it says", () => {
    const { drawn, paths } = section({});
    expect(paths.toSorted()).toEqual(["beamDepth", "beamWidth", "thickness", "toeDepth", "toeWidth", "top"]);
    const of = (path: string) => drawn.dimensions.find((each) => each.path === path);
    const long = (path: string) => (of(path)?.toNm ?? 0) - (of(path)?.fromNm ?? 0);
    expect(["beamDepth", "beamWidth", "thickness", "toeWidth"].map(long)).toEqual(
      [600, 450, 200, 200].map(millimetres),
    );
    const toe = drawn.rectangles.find(({ role }) => role === "toe");
    expect([toe?.widthNm, toe?.heightNm]).toEqual([millimetres(200), millimetres(150)]);
  });
});
