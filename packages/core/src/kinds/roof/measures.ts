import type { Measure, PartContext } from "../../parts/partKind";
import { formatArea, formatLength, type MeasuringSystem, NM_PER_MM, pitchWays } from "../../units";
import { formOf, type RoofFace, type RoofForm } from "./form";
import { edgeName } from "./outline";
import type { SideKind } from "./overhang";
import { linesOfKind } from "./quantities";
import type { Roof } from "./schema";

export const sayMm = (mm: number, system: MeasuringSystem): string => formatLength(Math.round(mm * NM_PER_MM), system);

export const faceName = (roof: Roof, face: RoofFace): string => {
  const [, step] = /\/(\w+)/.exec(face.id) ?? [];
  const name = `Slope over ${edgeName(roof, face.edgeId)}`;
  return step === undefined ? name : `${name}, ${step === "2" ? "upper" : step}`;
};

const shown = (value: number, places: number): string => String(Number(value.toFixed(places)));

function slopeMeasure(roof: Roof, face: RoofFace, system: MeasuringSystem): Measure {
  const secant = Math.hypot(1, face.pitch);
  const text = formatArea(face.areaM2, system);
  const plan = formatArea(face.planAreaM2, system);
  return {
    id: `slope/${face.id}`,
    name: "Area along the slope",
    of: faceName(roof, face),
    text,
    working: {
      sentence: `${faceName(roof, face)}, overhangs included.`,
      formula: "area on plan × secant of the pitch",
      withNumbers: `${plan} × ${shown(secant, 4)} = ${text}`,
      steps: [{ label: "Pitch", value: pitchWays(face.pitch, system).join("  ·  ") }],
    },
    shapeIds: [face.id],
  };
}

const LINES: readonly (readonly [string, readonly SideKind[]])[] = [
  ["Ridges", ["ridge"]],
  ["Hips", ["hip"]],
  ["Valleys", ["valley"]],
  ["Eaves", ["eave"]],
  ["Rakes", ["rake", "open"]],
  ["Against walls", ["wall-top", "wall-side", "cheek"]],
];

function lineMeasure(form: RoofForm, name: string, kinds: readonly SideKind[], system: MeasuringSystem): Measure[] {
  const lines = linesOfKind(form, ...kinds);
  if (lines.length === 0) return [];
  const text = sayMm(
    lines.reduce((sum, line) => sum + line.lengthMm, 0),
    system,
  );
  return [
    {
      id: `lines/${name}`,
      name,
      of: "",
      text,
      working: {
        sentence: `${name} along the slope, one by one.`,
        formula: "true lengths, added up",
        withNumbers: `${lines.map((line) => sayMm(line.lengthMm, system)).join(" + ")} = ${text}`,
        steps: lines.map((line, index) => ({
          label: `${index + 1}, on plan ${sayMm(line.planMm, system)}`,
          value: sayMm(line.lengthMm, system),
        })),
      },
      shapeIds: lines.map((line) => line.id),
    },
  ];
}

/** What other roofs lie over: panels run on below, the covering does not. */
function coveredMeasures(roof: Roof, form: RoofForm, system: MeasuringSystem): Measure[] {
  return form.faces.flatMap((face) =>
    face.covered.map(({ by, planAreaM2 }, index): Measure => {
      const secant = Math.hypot(1, face.pitch);
      const text = formatArea(planAreaM2 * secant, system);
      return {
        id: `covered/${face.id}/${index + 1}`,
        name: `Under ${by}`,
        of: faceName(roof, face),
        text,
        working: {
          sentence: `${by} lies over this much of it: boards and rafters run on below, the covering does not.`,
          formula: "area on plan × secant of the pitch",
          withNumbers: `${formatArea(planAreaM2, system)} × ${shown(secant, 4)} = ${text}`,
          steps: [],
        },
        shapeIds: [face.id],
      };
    }),
  );
}

/** Every slope and every kind of line, each with how it came to be. */
export function roofMeasures(roof: Roof, { system }: PartContext): Measure[] {
  const formed = formOf(roof);
  if (!formed.ok) return [];
  const { form } = formed;
  const area = form.faces.reduce((sum, face) => sum + face.areaM2, 0);
  const text = formatArea(area, system);
  const whole: Measure = {
    id: "area",
    name: "Roof area",
    of: "",
    text,
    working: {
      sentence: "All slopes together, overhangs included.",
      formula: "areas along the slopes, added up",
      withNumbers: `${form.faces.map((face) => formatArea(face.areaM2, system)).join(" + ")} = ${text}`,
      steps: [
        { label: "Squares of 100 sq ft", value: shown(area * 10.763910416709722 * 0.01, 2) },
        { label: "From plate to the highest point", value: sayMm(form.highestMm, system) },
      ],
    },
    shapeIds: form.faces.map((face) => face.id),
  };
  return [
    whole,
    ...LINES.flatMap(([name, kinds]) => lineMeasure(form, name, kinds, system)),
    ...form.faces.map((face) => slopeMeasure(roof, face, system)),
    ...coveredMeasures(roof, form, system),
  ];
}
