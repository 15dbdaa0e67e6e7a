import type { Solid } from "@wide-porch/core";
import { useEffect, useRef, useState } from "react";
import { View } from "react-native";
import { type Group, LineSegments, Mesh, PerspectiveCamera, Raycaster, Vector2, Vector3, WebGLRenderer } from "three";
import { OrbitControls } from "three/addons/controls/OrbitControls.js";
import { Body } from "../../components/Text";
import { dispose, extentOf, litScene, meshesOf, pieceAt } from "./scene";
import { snapshot } from "./snapshot";
import { turningWith } from "./turning";

type Props = {
  readonly solids: readonly Solid[];
  readonly lit: ReadonlySet<string>;
  readonly onPiece: (id: string) => void;
  /** Is given what takes a picture of the model as it is seen, while it is there. */
  readonly onCamera: (take: (() => Promise<Blob>) | undefined) => void;
};

const HEIGHT_PX = 440;
const FIELD_DEGREES = 40;
/** From the front, to the right and above. */
const VIEW_FROM = new Vector3(0.7, 0.6, 0.9).normalize();
/** A press that moved further than this was a turn. */
const STILL_PX = 6;

const finestRatio = (): number => Math.min(2, window.devicePixelRatio);

type Stage = {
  readonly show: (group: Group) => void;
  readonly picture: () => Promise<Blob>;
  readonly stop: () => void;
};

/** The scene on a canvas: drawn when something moves, not all the time. */
function stageOn(host: HTMLDivElement, press: (id: string) => void): Stage {
  const renderer = new WebGLRenderer({ antialias: true, alpha: true, preserveDrawingBuffer: true });
  const scene = litScene();
  const camera = new PerspectiveCamera(FIELD_DEGREES, 1, 0.05, 500);
  const controls = new OrbitControls(camera, renderer.domElement);
  let shown: Group | undefined;
  const draw = () => renderer.render(scene, camera);
  const turning = turningWith(draw, (coarse) => {
    for (const each of shown?.children ?? []) if (each instanceof LineSegments) each.visible = !coarse;
    renderer.setPixelRatio(coarse ? 1 : finestRatio());
  });
  const fit = () => {
    const width = Math.max(1, host.clientWidth);
    renderer.setPixelRatio(finestRatio());
    renderer.setSize(width, HEIGHT_PX);
    camera.aspect = width / HEIGHT_PX;
    camera.updateProjectionMatrix();
    draw();
  };
  controls.addEventListener("change", turning.moved);
  controls.addEventListener("end", turning.still);
  const watcher = new ResizeObserver(fit);
  watcher.observe(host);
  host.append(renderer.domElement);
  const start = new Vector2();
  const down = (event: PointerEvent) => start.set(event.clientX, event.clientY);
  const up = (event: PointerEvent) => {
    if (start.distanceTo(new Vector2(event.clientX, event.clientY)) > STILL_PX || !shown) return;
    const box = renderer.domElement.getBoundingClientRect();
    const at = new Vector2(
      ((event.clientX - box.left) / box.width) * 2 - 1,
      1 - ((event.clientY - box.top) / box.height) * 2,
    );
    const caster = new Raycaster();
    caster.setFromCamera(at, camera);
    // Edges are near everything: what is pressed is a face.
    const faces = shown.children.filter((each) => each instanceof Mesh);
    const hit = caster.intersectObjects(faces, false)[0];
    const id = hit && pieceAt(hit.object.userData, hit.instanceId);
    if (id !== undefined) press(id);
  };
  renderer.domElement.addEventListener("pointerdown", down);
  renderer.domElement.addEventListener("pointerup", up);
  return {
    show: (group) => {
      const first = shown === undefined;
      if (shown) {
        scene.remove(shown);
        dispose(shown);
      }
      shown = group;
      scene.add(group);
      if (first) {
        const { middle, across } = extentOf(group);
        // Far enough that all of it is in sight, across a narrow canvas as well.
        const halfAngle = Math.atan(
          Math.tan((FIELD_DEGREES * Math.PI) / 360) * Math.min(1, host.clientWidth / HEIGHT_PX),
        );
        const away = (0.45 * across) / Math.sin(halfAngle);
        controls.target.copy(middle);
        camera.position.copy(middle).addScaledVector(VIEW_FROM, away);
        controls.update();
      }
      fit();
    },
    picture: () => {
      draw();
      return snapshot(renderer.domElement);
    },
    stop: () => {
      watcher.disconnect();
      turning.still();
      controls.dispose();
      if (shown) dispose(shown);
      renderer.dispose();
      renderer.domElement.remove();
    },
  };
}

/** The model itself. Where the device draws no 3D, it says so: everything in it is in the lists too. */
export default function ModelCanvas({ solids, lit, onPiece, onCamera }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage | undefined>(undefined);
  const [failure, setFailure] = useState<string>();
  const press = useRef(onPiece);
  press.current = onPiece;
  useEffect(() => {
    if (!host.current) return;
    try {
      const made = stageOn(host.current, (id) => press.current(id));
      stage.current = made;
      onCamera(made.picture);
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
    return () => {
      onCamera(undefined);
      stage.current?.stop();
      stage.current = undefined;
    };
  }, [onCamera]);
  useEffect(() => stage.current?.show(meshesOf(solids, lit)), [solids, lit]);
  if (failure) return <Body role="alert">{`This device draws no 3D (${failure}). All of it is in the lists.`}</Body>;
  return (
    <View
      role="img"
      aria-label={`The model in 3D, ${solids.length} pieces`}
      className="rounded-md border border-rule bg-sheet"
    >
      <div ref={host} style={{ height: HEIGHT_PX, touchAction: "none" }} />
    </View>
  );
}
