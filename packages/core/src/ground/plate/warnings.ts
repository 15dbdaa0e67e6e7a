import { boundsOf } from "../../geometry";
import { type Problem, problem } from "../../problems/problem";
import { formatLength, type MeasuringSystem, type Nanometres, plural } from "../../units";
import { barSize } from "../bars";
import type { GroundChoices } from "../choices";
import { ribName } from "./figures";
import { plateLevels } from "./levels";
import { hasBeams, hasToe, type Plate } from "./schema";
import { type BeamOnPlan, type PlateShape, plateShape, runLengthNm } from "./shape";

type Say = (nm: Nanometres) => string;
type Asked = { readonly plate: Plate; readonly shape: PlateShape; readonly choices: GroundChoices; readonly say: Say };

/** What is odd about a plate, each beside its figure; all of it is counted all the same, as the words say. */
export function plateTold(plate: Plate, choices: GroundChoices, system: MeasuringSystem): Problem[] {
  const shape = plateShape(plate);
  if (!shape) return [];
  const asked = { plate, shape, choices, say: (nm: Nanometres) => formatLength(nm, system) };
  return [
    ...levelsTold(asked),
    ...beamsTold(asked),
    ...ribsTold(asked),
    ...toeTold(asked),
    ...steelTold(asked),
    ...meshTold(asked),
  ];
}

function levelsTold({ plate, choices, say }: Asked): Problem[] {
  const { formationNm, topNm } = plateLevels(plate, choices);
  if (formationNm > 0) {
    const message = `What the fill is laid on would be ${say(formationNm)} above the ground: nothing is dug there, and the gap beneath is not filled.`;
    return [problem("formation-above-ground", "top", message)];
  }
  const covered = plate.edgeForm === "plain" && topNm < 0;
  const message = `The top lies ${say(-topNm)} below the ground: what stands over it is dug out and left open.`;
  return covered ? [problem("below-ground", "top", message)] : [];
}

function beamsTold({ plate, shape, say }: Asked): Problem[] {
  if (!hasBeams(plate)) return [];
  const found: Problem[] = [];
  const [thickness, depth] = [plate.thickness.valueNm ?? 0, plate.beamDepth.valueNm ?? 0];
  if (depth < thickness) {
    const message = `The edge beam, ${say(depth)} deep, is shallower than the slab of ${say(thickness)}: it adds no concrete.`;
    found.push(problem("beam-in-slab", "beamDepth", message));
  }
  if (shape.beamsMeet) {
    const message = `Edge beams ${say(plate.beamWidth.valueNm ?? 0)} wide meet in the middle: the whole is counted as deep as they are, without ribs or fill between.`;
    found.push(problem("beams-meet", "beamWidth", message));
  }
  return found;
}

function ribsTold({ plate, shape, say }: Asked): Problem[] {
  const thickness = plate.thickness.valueNm ?? 0;
  const reach = boundsOf(shape.inner);
  const missing = plate.ribs.filter(({ id }) => !shape.ribs.some((rib) => rib.name === ribName(plate, id)));
  const shallow = plate.ribs.filter(({ depth }) => (depth.valueNm ?? 0) < thickness);
  return [
    ...shape.overlapping.map(([a, b]) => {
      const message = `${ribName(plate, a.id)} and ${ribName(plate, b.id)} lie in each other: their concrete is counted once.`;
      return problem("ribs-overlap", `ribs.${b.id}.width`, message);
    }),
    ...missing.map(({ id, at }) => {
      const where = at.valueNm === null || !reach ? "" : `, ${say(at.valueNm)} from the outside,`;
      const message = `${ribName(plate, id)}${where} lies outside what the edge beams enclose: it counts nothing.`;
      return problem("rib-outside", `ribs.${id}.${at.valueNm === null ? "width" : "at"}`, message);
    }),
    ...shallow.map(({ id, depth }) => {
      const message = `${ribName(plate, id)}, ${say(depth.valueNm ?? 0)} deep, is shallower than the slab: it adds no concrete.`;
      return problem("beam-in-slab", `ribs.${id}.depth`, message);
    }),
  ];
}

function toeTold({ plate, say }: Asked): Problem[] {
  if (plate.edgeForm !== "toe") return [];
  if (!hasToe(plate)) return [problem("no-toe", "edges", "No edge has the toe: say along which it runs.")];
  const [toe, depth] = [plate.toeDepth.valueNm ?? 0, plate.beamDepth.valueNm ?? 0];
  if (toe <= depth) return [];
  const message = `The toe, ${say(toe)} thick, is thicker than the beam of ${say(depth)}: it is counted up to the top of the slab.`;
  return [problem("toe-over-beam", "toeDepth", message)];
}

const hasSteel = ({ mainTop, mainBottom, linkSpacing }: GroundChoices): boolean =>
  mainTop + mainBottom > 0 || linkSpacing > 0;

function steelTold({ shape, choices, say }: Asked): Problem[] {
  const beams = [...shape.edgeBeams, ...shape.ribs];
  if (beams.length === 0 || !hasSteel(choices)) return [];
  const { cover, linkSpacing } = choices;
  const least = 2 * cover + 2 * barSize(choices.linkBar).diameterNm;
  const tight = beams.filter((beam) => Math.min(beam.widthNm, beam.depthNm) <= least);
  if (tight.length > 0) {
    const message = `A cover of ${say(cover)} all round leaves no room for steel in ${namesOf(tight)}: it counts none there.`;
    return [problem("cover-wider-than-beam", "choices.cover", message)];
  }
  const short = beams.filter((beam) => linkSpacing > 0 && runLengthNm(beam.run) - 2 * cover < linkSpacing);
  if (short.length === 0) return [];
  const message = `Links ${say(linkSpacing)} apart are further than ${namesOf(short)} ${plural(short.length, "is", "are")} long: one at each end is counted.`;
  return [problem("links-past-beam", "choices.linkSpacing", message)];
}

const namesOf = (beams: readonly BeamOnPlan[]): string => beams.map(({ name }) => name).join(", ");

function meshTold({ plate, choices, say }: Asked): Problem[] {
  const thickness = plate.thickness.valueNm ?? 0;
  if (choices.meshLayers === 0 || thickness > choices.meshLayers * choices.cover) return [];
  const message = `A cover of ${say(choices.cover)} leaves no room for ${choices.meshLayers} of mesh in a slab of ${say(thickness)}; it is counted all the same.`;
  return [problem("cover-wider-than-slab", "choices.cover", message)];
}
