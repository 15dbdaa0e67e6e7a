import type { Solid } from "@wide-porch/core";
import {
  AmbientLight,
  Box3,
  type BufferGeometry,
  DirectionalLight,
  EdgesGeometry,
  ExtrudeGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshLambertMaterial,
  Scene,
  Shape,
  Vector3,
} from "three";
import { TONES, toneOf } from "../../theme/tokens";

const LIT = "#1b4d39";

/** Solids as meshes, each carrying the id of its piece. */
export function meshesOf(solids: readonly Solid[], lit: ReadonlySet<string>): Group {
  const group = new Group();
  const edge = new LineBasicMaterial({ color: TONES.edge, transparent: true, opacity: 0.45 });
  for (const solid of solids) {
    const [first, ...rest] = solid.outline;
    if (!first) continue;
    const shape = new Shape();
    shape.moveTo(...first);
    for (const corner of rest) shape.lineTo(...corner);
    const geometry: BufferGeometry = new ExtrudeGeometry(shape, { depth: solid.depthM, bevelEnabled: false });
    geometry.translate(0, 0, solid.nearM);
    const isLit = lit.has(solid.id);
    const dim = lit.size > 0 && !isLit;
    const material = new MeshLambertMaterial({
      color: isLit ? LIT : toneOf(solid.role, solid.tone),
      transparent: dim,
      opacity: dim ? 0.35 : 1,
    });
    const mesh = new Mesh(geometry, material);
    mesh.position.set(solid.atX, 0, solid.atZ);
    mesh.rotation.y = solid.turn;
    mesh.userData.pieceId = solid.id;
    mesh.add(new LineSegments(new EdgesGeometry(geometry), edge));
    group.add(mesh);
  }
  return group;
}

export function litScene(): Scene {
  const scene = new Scene();
  scene.add(new AmbientLight("#ffffff", 1.6));
  const sun = new DirectionalLight("#ffffff", 1.8);
  sun.position.set(4, 10, 6);
  scene.add(sun);
  return scene;
}

/** The middle of what is shown, and how far across it is. */
export function extentOf(group: Group): { middle: Vector3; across: number } {
  const box = new Box3().setFromObject(group);
  const size = box.getSize(new Vector3());
  return { middle: box.getCenter(new Vector3()), across: Math.max(1, size.length()) };
}

/** Frees what the graphics card holds. */
export function dispose(group: Group): void {
  group.traverse((each) => {
    if (each instanceof Mesh || each instanceof LineSegments) each.geometry.dispose();
    if (each instanceof Mesh && each.material instanceof MeshLambertMaterial) each.material.dispose();
  });
}
