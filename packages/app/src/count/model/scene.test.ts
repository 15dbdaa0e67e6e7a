import type { Solid } from "@wide-porch/core";
import { Box3, InstancedMesh } from "three";
import { alikeSolids, meshesOf, pieceAt } from "./scene";

const stud = (id: string, alongM: number, highM = 2.4): Solid => ({
  id,
  partId: "wall",
  role: "stud",
  group: "Studs",
  storey: "Ground",
  frame: { origin: [1, 0.5, -2], along: [0, 0, 1], up: [0, 1, 0] },
  outline: [
    [alongM, 0],
    [alongM + 0.038, 0],
    [alongM + 0.038, highM],
    [alongM, highM],
  ],
  holes: [],
  nearM: -0.0445,
  depthM: 0.089,
});
const many = Array.from({ length: 1000 }, (_, index) => stud(`wall/${index}`, 0.4 * index));

describe("the scene", () => {
  it("draws alike pieces together, however many, and knows which is which", () => {
    const group = meshesOf([...many, stud("wall/short", 1, 1.2)], new Set());
    const meshes = group.children.filter((each): each is InstancedMesh => each instanceof InstancedMesh);
    expect(meshes.map((mesh) => mesh.count)).toEqual([1000, 1]);
    expect(meshes[0] && pieceAt(meshes[0].userData, 417)).toBe("wall/417");
    expect(pieceAt({}, 1)).toBeUndefined();
    expect(meshes[0] && pieceAt(meshes[0].userData, 4000)).toBeUndefined();
  });

  it("puts each where its frame and its outline say", () => {
    const box = new Box3().setFromObject(meshesOf([stud("wall/a", 3)], new Set()));
    // Along runs with z from -2; depth is along × up, which is against x: 44.5 mm to either side of 1.
    const near = (value: number) => Number(value.toFixed(4));
    expect([near(box.min.x), near(box.max.x)]).toEqual([0.9555, 1.0445]);
    expect([near(box.min.y), near(box.max.y)]).toEqual([0.5, 2.9]);
    expect([near(box.min.z), near(box.max.z)]).toEqual([1, 1.038]);
  });

  it("tells a lit piece from the rest, which are dimmed", () => {
    const groups = alikeSolids(many, new Set(["wall/7"]));
    expect(groups.map(({ look, placed }) => [look.dim, placed.length])).toEqual([
      [true, 999],
      [false, 1],
    ]);
  });

  it("leaves out what has no face", () => {
    expect(alikeSolids([{ ...stud("wall/a", 0), outline: [[0, 0]] }], new Set())).toEqual([]);
  });
});
