import { depthOf, type Solid } from "@wide-porch/core";
import {
  AmbientLight,
  Box3,
  BufferAttribute,
  BufferGeometry,
  DirectionalLight,
  EdgesGeometry,
  ExtrudeGeometry,
  Group,
  InstancedMesh,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshLambertMaterial,
  Path,
  Scene,
  Shape,
  Vector3,
} from "three";
import { TONES, toneOf } from "../../theme/tokens";

const LIT = "#1b4d39";
/** Shapes that differ by less than a tenth of a millimetre look alike. */
const PLACES = 4;

type Corner = readonly [number, number];
type Outline = readonly Corner[];
type Look = { readonly colour: string; readonly dim: boolean };

/** A solid moved so that its outline begins at nothing: two studs of one wall are then one shape at two places. */
type Placed = { readonly id: string; readonly matrix: Matrix4 };
type Alike = { readonly look: Look; readonly solid: Solid; readonly least: Corner; readonly placed: Placed[] };

const leastOf = ({ outline }: Solid): Corner => [
  Math.min(...outline.map(([along]) => along)),
  Math.min(...outline.map(([, up]) => up)),
];

const movedBy = (outline: Outline, [along, up]: Corner): Outline => outline.map(([x, y]) => [x - along, y - up]);

/** From the shape's own axes to its place in space. */
function matrixOf({ frame }: Solid, [along, up]: Corner): Matrix4 {
  const [x, y] = [new Vector3(...frame.along), new Vector3(...frame.up)];
  const origin = new Vector3(...frame.origin).addScaledVector(x, along).addScaledVector(y, up);
  return new Matrix4().makeBasis(x, y, new Vector3(...depthOf(frame))).setPosition(origin);
}

const textOf = (outline: Outline): string =>
  outline.map((corner) => corner.map((each) => each.toFixed(PLACES)).join(",")).join(" ");

/** Solids of one shape and one look: they are drawn together, however many there are. */
export function alikeSolids(solids: readonly Solid[], lit: ReadonlySet<string>): Alike[] {
  const groups = new Map<string, Alike>();
  for (const solid of solids) {
    if (solid.outline.length < 3) continue;
    const isLit = lit.has(solid.id);
    const look = { colour: isLit ? LIT : toneOf(solid.role, solid.tone), dim: lit.size > 0 && !isLit };
    const least = leastOf(solid);
    const shape = [solid.outline, ...solid.holes].map((each) => textOf(movedBy(each, least))).join("/");
    const key = [look.colour, look.dim, solid.nearM.toFixed(PLACES), solid.depthM.toFixed(PLACES), shape].join("|");
    const placed = { id: solid.id, matrix: matrixOf(solid, least) };
    const group = groups.get(key);
    if (group) group.placed.push(placed);
    else groups.set(key, { look, solid, least, placed: [placed] });
  }
  return [...groups.values()];
}

function drawn<P extends Path>(path: P, outline: Outline): P {
  const [first, ...rest] = outline;
  if (first) path.moveTo(...first);
  for (const corner of rest) path.lineTo(...corner);
  return path;
}

function geometryOf({ solid, least }: Alike): BufferGeometry {
  const shape = drawn(new Shape(), movedBy(solid.outline, least));
  shape.holes = solid.holes.map((hole) => drawn(new Path(), movedBy(hole, least)));
  const geometry = new ExtrudeGeometry(shape, { depth: solid.depthM, bevelEnabled: false });
  return geometry.translate(0, 0, solid.nearM);
}

/** The edges of every place of a shape, in space. */
function edgesInto(positions: number[], geometry: BufferGeometry, placed: readonly Placed[]): void {
  const edges = new EdgesGeometry(geometry);
  const points = edges.getAttribute("position");
  const corner = new Vector3();
  for (const { matrix } of placed) {
    for (let index = 0; index < points.count; index += 1) {
      corner.fromBufferAttribute(points, index).applyMatrix4(matrix);
      positions.push(corner.x, corner.y, corner.z);
    }
  }
  edges.dispose();
}

/** Solids as meshes: one for all of a shape, which knows the ids of its pieces in order; and one for all edges. */
export function meshesOf(solids: readonly Solid[], lit: ReadonlySet<string>): Group {
  const group = new Group();
  const positions: number[] = [];
  for (const alike of alikeSolids(solids, lit)) {
    const { look, placed } = alike;
    const geometry = geometryOf(alike);
    const material = new MeshLambertMaterial({
      color: look.colour,
      transparent: look.dim,
      opacity: look.dim ? 0.35 : 1,
    });
    const mesh = new InstancedMesh(geometry, material, placed.length);
    for (const [index, { matrix }] of placed.entries()) mesh.setMatrixAt(index, matrix);
    mesh.userData.pieceIds = placed.map(({ id }) => id);
    group.add(mesh);
    edgesInto(positions, geometry, placed);
  }
  const edges = new BufferGeometry();
  edges.setAttribute("position", new BufferAttribute(new Float32Array(positions), 3));
  const ink = new LineBasicMaterial({ color: TONES.edge, transparent: true, opacity: 0.45 });
  group.add(new LineSegments(edges, ink));
  return group;
}

/** The piece of a mesh that was hit. */
export function pieceAt(userData: Record<string, unknown>, instanceId: number | undefined): string | undefined {
  const { pieceIds } = userData;
  const id: unknown = Array.isArray(pieceIds) && instanceId !== undefined ? pieceIds[instanceId] : undefined;
  return typeof id === "string" ? id : undefined;
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
  if (box.isEmpty()) return { middle: new Vector3(), across: 1 };
  const size = box.getSize(new Vector3());
  return { middle: box.getCenter(new Vector3()), across: Math.max(1, size.length()) };
}

/** Frees what the graphics card holds. */
export function dispose(group: Group): void {
  group.traverse((each) => {
    if (!(each instanceof Mesh || each instanceof LineSegments)) return;
    each.geometry.dispose();
    if (!Array.isArray(each.material)) each.material.dispose();
    if (each instanceof InstancedMesh) each.dispose();
  });
}
