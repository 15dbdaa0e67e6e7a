import type { FramingPiece } from "../../../drawing/piece";
import { sectionOf } from "../../../kinds";
import type { Site } from "../../../layouts";
import { type Problem, problem } from "../../../problems/problem";
import { formatLength, plural, soMany } from "../../../units";
import { formOf, type RoofFace, type RoofForm, toMm } from "../form";
import { onWallsOf } from "../heights";
import { edgeName } from "../outline";
import type { RoofChoices } from "../parameters";
import type { Roof } from "../schema";
import { layLines } from "./lines";
import type { Longest } from "./longest";
import { layGables, layOpenings } from "./openings";
import { layOverhangs } from "./overhangs";
import { layPurlins } from "./purlins";
import { layRafters } from "./rafters";
import { layTies, untiedFaces } from "./ties";
import { type LaidTrusses, layTrusses } from "./trusses/layTrusses";

export type Framed = { readonly pieces: readonly FramingPiece[]; readonly problems: readonly Problem[] };

const NO_TRUSSES: LaidTrusses = { pieces: [], carried: new Set(), mouths: 0 };
const SPANNED: ReadonlySet<string> = new Set(["ridge", "hip", "valley"]);

/** Rafters or trusses, ridges, hips, valleys, ties and overhangs of a roof, each where it lies. */
export function frameRoof(roof: Roof, choices: RoofChoices, longest: Longest, { context }: Site): Framed {
  const formed = formOf(roof);
  if (!formed.ok) return { pieces: [], problems: [] };
  const { form } = formed;
  const section = (id: string) => sectionOf(context.sections, id);
  const fromEnd = choices.layoutFrom === "end";
  const sections = {
    rafter: onWallsOf(section(choices.rafterSection), section(choices.gableStudSection)),
    ridge: section(choices.ridgeSection),
    hip: section(choices.hipSection),
  };
  const spacingMm = toMm(choices.rafterSpacing);
  const trusses =
    choices.framedWith === "trusses"
      ? layTrusses(form, {
          layout: { spacingMm: toMm(choices.trussSpacing), fromEnd },
          chord: section(choices.gableStudSection),
          setbackMm: toMm(choices.girderSetback),
          girderPlies: choices.girderPlies,
        })
      : NO_TRUSSES;
  const { carried } = trusses;
  // What trusses carry has neither rafters nor the timber that rafters lean on.
  const stick: RoofForm =
    carried.size === 0
      ? form
      : {
          ...form,
          faces: form.faces.filter(({ id }) => !carried.has(id)),
          lines: form.lines.filter(({ kind, faceIds }) => !SPANNED.has(kind) || faceIds.some((id) => !carried.has(id))),
        };
  const rafters = layRafters(form, { spacingMm, fromEnd }, sections, ({ id }) => !carried.has(id));
  const ties = layTies(rafters, stick, {
    ceilingJoist: choices.ceilingJoists ? section(choices.joistSection) : undefined,
    collar: { section: section(choices.collarSection), every: choices.collarEvery },
  });
  const purlins = layPurlins(stick, {
    rafter: sections.rafter,
    purlin: section(choices.purlinSection),
    strut: section(choices.gableStudSection),
    rows: choices.purlinRows,
    strutsMm: toMm(choices.strutSpacing),
    stock: { longestMm: toMm(longest("purlin", choices.purlinSection)), spacingMm },
  });
  const overhangs = layOverhangs(roof, form, {
    section: sections.rafter,
    spacingMm: toMm(choices.lookoutSpacing),
    longestMm: toMm(longest("barge-rafter", choices.rafterSection)),
    rafterSpacingMm: carried.size > 0 ? toMm(choices.trussSpacing) : spacingMm,
  });
  const walls = {
    rafter: sections.rafter,
    stud: section(choices.gableStudSection),
    spacingMm,
    longestMm: (role: string) => toMm(longest(role, choices.gableStudSection)),
  };
  const ridgeMm = toMm(longest("ridge", choices.ridgeSection));
  return {
    pieces: [
      ...ties,
      ...layLines({ ...form, lines: stick.lines }, sections, { longestMm: ridgeMm, spacingMm }),
      ...[...rafters.values()].flat(),
      ...trusses.pieces,
      ...purlins,
      ...overhangs,
      ...layOpenings(stick, walls),
      // Trusses over a gable have their own uprights.
      ...(choices.gableStuds && carried.size === 0 ? layGables(roof, form, walls) : []),
    ],
    problems: [
      ...(choices.framedWith === "trusses" ? trussProblems(roof, form, trusses, choices, context.system) : []),
      ...untiedProblems(roof, choices, untiedFaces(rafters, stick)),
    ],
  };
}

/** Ties that were chosen, and lie under some slopes only: beside pairs of rafters that meet over a ridge. */
function untiedProblems(
  roof: Roof,
  { ceilingJoists, collarEvery }: RoofChoices,
  untied: readonly RoofFace[],
): Problem[] {
  const chosen = [...(ceilingJoists ? ["ceiling joists"] : []), ...(collarEvery > 0 ? ["collar ties"] : [])];
  if (chosen.length === 0 || untied.length === 0) return [];
  const edges = [...new Set(untied.map(({ edgeId }) => edgeName(roof, edgeId)))];
  const path = ceilingJoists ? "choices.ceilingJoists" : "choices.collarEvery";
  const message = `${edges.join(", ")}: no ${chosen.join(" or ")} under ${plural(edges.length, "this slope, as its rafters meet", "these slopes, as their rafters meet")} no others over a ridge. Count them as a floor there, and have what holds the feet of the rafters looked at.`;
  return [problem("untied", path, message)];
}

/** What trusses leave to somebody else: told, as nothing of it is in their count. */
function trussProblems(
  roof: Roof,
  form: RoofForm,
  { carried, mouths }: LaidTrusses,
  { trussSpacing }: RoofChoices,
  system: Site["context"]["system"],
): Problem[] {
  const left = form.faces.filter(({ id, dormerId }) => !carried.has(id) && dormerId === undefined);
  const edges = [...new Set(left.map(({ edgeId }) => edgeName(roof, edgeId)))];
  const wide = form.features.filter(
    ({ face, fromU, toU, feature }) =>
      carried.has(face.id) && feature.kind !== "carried-eave" && toU - fromU > toMm(trussSpacing),
  );
  return [
    ...(edges.length === 0
      ? []
      : [
          problem(
            "not-trussed",
            "choices.framedWith",
            `${edges.join(" and ")}: the slope over it is counted in rafters, as no truss is laid out there.`,
          ),
        ]),
    ...(mouths === 0
      ? []
      : [
          problem(
            "mouths",
            "choices.framedWith",
            `${soMany(mouths, "truss comes", "trusses come")} over the mouth of a wing: each needs a wall or a girder there, which is not counted.`,
          ),
        ]),
    ...wide.map(({ feature, fromU, toU }) =>
      problem(
        "through-trusses",
        `features.${feature.id}.width`,
        `${feature.name} is ${formatLength(Math.round((toU - fromU) * 1e6), system)} wide, and trusses are ${formatLength(trussSpacing, system)} apart: they are counted as if it were not there. Have the maker design for it.`,
      ),
    ),
  ];
}
