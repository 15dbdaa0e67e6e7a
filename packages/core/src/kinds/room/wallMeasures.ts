import { distance } from "../../geometry";
import type { RoomOpening } from "../../parts/opening";
import type { Measure } from "../../parts/partKind";
import { areaOf, formatArea, formatLength, formatRunningLength, type SquareMetres } from "../../units";
import { type CeilingPlanes, wallAreaUnder } from "./ceiling";
import { idsOf, type Measured, measure, nameOfOpening, sumOf } from "./measured";
import { runName } from "./names";
import { openingArea, revealLengthNm } from "./openings";
import type { Face } from "./outline";

const grossOf = (faces: readonly Face[], planes: CeilingPlanes): SquareMetres =>
  sumOf(faces, (face) => wallAreaUnder(face.from, face.to, planes));

export function wallAreas({ outline, openings, system }: Measured, planes: CeilingPlanes): Measure[] {
  const gross = grossOf(outline.faces, planes);
  const less = sumOf(openings, openingArea);
  const [grossText, lessText, netText] = [gross, less, gross - less].map((area) => formatArea(area, system));
  const shapeIds = idsOf(outline.faces);
  const steps = openings.map((opening) => ({
    label: nameOfOpening(opening),
    value: formatArea(openingArea(opening), system),
  }));
  return [
    measure(
      "wall-area",
      "Wall area",
      grossText ?? "",
      {
        sentence: "All walls, floor to ceiling, openings not taken off.",
        formula: "each wall's length × its height, added up",
        withNumbers: `${outline.faces.length} stretches = ${grossText}`,
        steps: [],
      },
      shapeIds,
    ),
    measure(
      "net-wall-area",
      "Wall area less openings",
      netText ?? "",
      {
        sentence: "All walls, openings taken off, a neighbour's in a shared wall too.",
        formula: "wall area − openings",
        withNumbers: `${grossText} − ${lessText} = ${netText}`,
        steps,
      },
      shapeIds,
    ),
  ];
}

export function areasByWall({ room, outline, openings, system }: Measured, planes: CeilingPlanes): Measure[] {
  return room.runs.flatMap((run) => {
    const faces = outline.faces.filter((face) => face.runId === run.id);
    const hosts = new Set([run.id, ...faces.flatMap((face) => face.featureId ?? [])]);
    const within = openings.filter((opening) => hosts.has(opening.hostId));
    const gross = grossOf(faces, planes);
    const less = sumOf(within, openingArea);
    const [grossText, lessText, netText] = [gross, less, gross - less].map((area) => formatArea(area, system));
    const name = runName(room, run.id);
    return [
      measure(
        `wall-area/${run.id}`,
        "Area",
        grossText ?? "",
        {
          sentence: `${name}, floor to ceiling.`,
          formula: "length × height",
          withNumbers: `${faces.map((face) => formatLength(Math.round(distance(face.from, face.to)), system)).join(" + ")}, up to the ceiling = ${grossText}`,
          steps: [],
        },
        idsOf(faces),
        name,
      ),
      measure(
        `net-wall-area/${run.id}`,
        "Area less openings",
        netText ?? "",
        {
          sentence: `${name}, openings taken off.`,
          formula: "area − openings",
          withNumbers: `${grossText} − ${lessText} = ${netText}`,
          steps: within.map((opening) => ({
            label: nameOfOpening(opening),
            value: formatArea(openingArea(opening), system),
          })),
        },
        idsOf(faces),
        name,
      ),
    ];
  });
}

export function reveals({ room, openings, system }: Measured): Measure[] {
  if (openings.length === 0) return [];
  const thicknessOf = (opening: RoomOpening) =>
    (
      room.runs.find((run) => run.id === opening.hostId) ??
      room.features.find((feature) => feature.id === opening.hostId)
    )?.thickness.valueNm ?? 0;
  const totalNm = sumOf(openings, revealLengthNm);
  const area = sumOf(openings, (opening) => areaOf(revealLengthNm(opening), thicknessOf(opening)));
  const text = `${formatRunningLength(totalNm, system)}, ${formatArea(area, system)}`;
  const working = {
    sentence: "The edges of the openings, through the wall: both sides, the head, and a window's sill.",
    formula: "edge lengths added up; each × its wall's thickness",
    withNumbers: text,
    steps: openings.map((opening) => ({
      label: nameOfOpening(opening),
      value: `${formatLength(revealLengthNm(opening), system)} × ${formatLength(thicknessOf(opening), system)}`,
    })),
  };
  return [
    measure(
      "reveals",
      "Reveals",
      text,
      working,
      openings.map((opening) => opening.id),
    ),
  ];
}
