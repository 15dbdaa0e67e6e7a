import type { Assembly } from "../../../assemblies";
import type { BarPiece, HardwarePiece, Piece } from "../../../drawing/piece";
import { along, type Direction, distance, edgesOf, headingFrom, leftOf, type Point } from "../../../geometry";
import { atSpacing, barSize } from "../../../ground";
import { type GroundChoices, groundChoicesOf } from "../../../ground/choices";
import type { Prism } from "../../../ground/prism";
import { drawStrip } from "../../../ground/strip/draw";
import { lineLetter, lineName } from "../../../ground/strip/figures";
import { stripPrisms } from "../../../ground/strip/prisms";
import { stripTold } from "../../../ground/strip/problems";
import { centreLineM } from "../../../ground/strip/quantities";
import { bandOf, innerBands, reachOf, stripOutline } from "../../../ground/strip/shape";
import type { Layout, Site } from "../../../layouts";
import { formatLength, formatRunningLength, millimetres, type Nanometres, NM_PER_M, toMetres } from "../../../units";
import { levelBar, uprightBar } from "../../raft/build/barPiece";
import { type Face, laidInGround } from "../../raft/build/ground";
import { manyWords } from "../../raft/build/layOut";
import { barsAlong, type LongestBar } from "../../raft/build/steel";
import type { Footing } from "../schema";

/** The middle of a band along one line: where its steel runs. */
type Run = {
  readonly id: string;
  readonly of: string;
  readonly from: Point;
  readonly heading: Direction;
  readonly lengthNm: Nanometres;
};

/** Middles of a band so wide, one for each line and one for each footing within. */
function runsOf(footing: Footing, widthNm: Nanometres): Run[] {
  const outline = stripOutline(footing);
  if (!outline) return [];
  const band = bandOf(outline, reachOf(footing, widthNm));
  const run = (id: string, of: string, from: Point, to: Point): Run[] => {
    const heading = headingFrom(from, to);
    const lengthNm = Math.round(Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm));
    return heading && lengthNm > 0 ? [{ id, of, from, heading, lengthNm }] : [];
  };
  const middle = (a: Point, b: Point): Point => ({
    xNm: Math.round((a.xNm + b.xNm) / 2),
    yNm: Math.round((a.yNm + b.yNm) / 2),
  });
  return [
    ...band.quads.flatMap(({ edge, outer, inner }) =>
      run(edge.id, lineLetter(footing, edge.id), middle(outer.from, inner.from), middle(outer.to, inner.to)),
    ),
    ...innerBands(footing, outline, band.within, widthNm).flatMap(({ line, run: { from, to } }, index) =>
      run(`inner-${line.id}-${index + 1}`, lineName(footing, line.id), from, to),
    ),
  ];
}

/** How high the footing's underside is; where it steps its steel is drawn at the upper level. */
const undersideNm = (footing: Footing): Nanometres => -(footing.below.valueNm ?? 0);

/** Bars along the footing and across it, by its centre line: corners are not twice. */
function footingBars(footing: Footing, choices: GroundChoices, longest: LongestBar): BarPiece[] {
  const widthNm = footing.width.valueNm ?? 0;
  const { cover, footingBars: count, mainBar, crossSpacing, crossBar } = choices;
  const roomNm = widthNm - 2 * cover;
  if (roomNm <= 0) return [];
  const heightNm = undersideNm(footing) + cover + barSize(mainBar).diameterNm / 2;
  return runsOf(footing, widthNm).flatMap((run): BarPiece[] => {
    const across = leftOf(run.heading);
    const longs = Array.from({ length: count }, (_, index) => {
      const offNm = count === 1 ? 0 : (roomNm * index) / (count - 1) - roomNm / 2;
      const bar = { id: `${run.id}-bar-${index + 1}`, role: "footing-bar", itemId: mainBar, of: run.of };
      return barsAlong(bar, along(run.from, across, offNm), run.heading, run.lengthNm, heightNm, { choices, longest });
    }).flat();
    const crossings = crossSpacing === 0 ? 0 : atSpacing(run.lengthNm - 2 * cover, crossSpacing);
    const crosses = Array.from({ length: crossings }, (_, index) => {
      const alongNm =
        crossings === 1 ? run.lengthNm / 2 : cover + ((run.lengthNm - 2 * cover) * index) / (crossings - 1);
      const from = along(along(run.from, run.heading, alongNm), across, -roomNm / 2);
      const bar = { id: `${run.id}-cross-${index + 1}`, role: "footing-cross-bar", itemId: crossBar, of: run.of };
      return levelBar({ ...bar, shape: "00", cutLengthNm: roomNm, legsNm: [roomNm] }, from, across, roomNm, heightNm);
    });
    return [...longs, ...crosses];
  });
}

/** How far an upright is bent out in the footing: six inches, common practice. */
const FOOT_NM = millimetres(150);

/** Uprights of a stem wall with a foot in the footing, and rows along it. */
function stemBars(footing: Footing, choices: GroundChoices, longest: LongestBar): Piece[] {
  const { cover, stemUprights, stemRows, stemBar, anchorSpacing } = choices;
  const thickNm = footing.stemWidth.valueNm ?? 0;
  if (!footing.stem || thickNm <= 0) return [];
  const [thicknessNm, highNm] = [footing.thickness.valueNm ?? 0, footing.stemHeight.valueNm ?? 0];
  const footNm = undersideNm(footing) + cover;
  const topNm = undersideNm(footing) + thicknessNm + highNm;
  const uprightNm = Math.max(0, topNm - cover - footNm);
  return runsOf(footing, thickNm).flatMap((run): Piece[] => {
    const count = stemUprights === 0 ? 0 : atSpacing(run.lengthNm - 2 * cover, stemUprights);
    const uprights = Array.from({ length: count }, (_, index) => {
      const alongNm = count === 1 ? run.lengthNm / 2 : cover + ((run.lengthNm - 2 * cover) * index) / (count - 1);
      const bar = { id: `${run.id}-upright-${index + 1}`, role: "stem-upright", itemId: stemBar, of: run.of };
      const bent = { ...bar, shape: "11" as const, cutLengthNm: uprightNm + FOOT_NM, legsNm: [uprightNm, FOOT_NM] };
      return uprightBar(bent, along(run.from, run.heading, alongNm), footNm, uprightNm);
    });
    const rows = Array.from({ length: stemRows }, (_, index) => {
      const heightNm = undersideNm(footing) + thicknessNm + (highNm * (index + 0.5)) / stemRows;
      const bar = { id: `${run.id}-row-${index + 1}`, role: "stem-bar", itemId: stemBar, of: run.of };
      return barsAlong(bar, run.from, run.heading, run.lengthNm, heightNm, { choices, longest });
    }).flat();
    return [...uprights, ...rows, ...anchorsAlong(run, anchorSpacing, topNm)];
  });
}

const ANCHOR_NM = millimetres(16);

/** Bolts at most so far apart along a wall: two at least (IRC R403.1.6 has two in each plate, from memory). */
function anchorsAlong(run: Run, spacingNm: Nanometres, topNm: Nanometres): HardwarePiece[] {
  if (spacingNm === 0) return [];
  const count = Math.max(2, atSpacing(run.lengthNm, spacingNm));
  return Array.from({ length: count }, (_, index) => {
    const { xNm, yNm } = along(run.from, run.heading, (run.lengthNm * (index + 0.5)) / count);
    const half = toMetres(ANCHOR_NM) / 2;
    return {
      id: `${run.id}-anchor-${index + 1}`,
      role: "anchor",
      xNm,
      yNm,
      widthNm: ANCHOR_NM,
      heightNm: ANCHOR_NM,
      inSpace: {
        frame: { origin: [toMetres(xNm), toMetres(topNm) - 0.15, -toMetres(yNm)], along: [1, 0, 0], up: [0, 1, 0] },
        outline: [
          [-half, 0],
          [half, 0],
          [half, 0.22],
          [-half, 0.22],
        ],
        nearM: -half,
        depthM: 2 * half,
      },
    };
  });
}

/** Both faces of a stem wall, stretch by stretch; of all of it, or of what stands out of the ground. */
function stemFaces(prisms: readonly Prism[], { formwork }: GroundChoices): Face[] {
  if (formwork === "none") return [];
  return prisms
    .filter(({ role }) => role === "stem-wall")
    .flatMap((stem): Face[] => {
      const fromNm = formwork === "full" ? stem.fromNm : Math.max(0, stem.fromNm);
      if (stem.toNm <= fromNm) return [];
      const sides = edgesOf(stem.ring)
        .map(([from, to]) => ({ ring: [from, to, to], lengthNm: Math.round(distance(from, to)) }))
        .toSorted((a, b) => b.lengthNm - a.lengthNm)
        .slice(0, 2);
      return sides.map(
        (side, index): Face => ({ ...side, id: `formwork-${stem.id}-${index + 1}`, fromNm, toNm: stem.toNm }),
      );
    });
}

function expectedBars(footing: Footing, choices: GroundChoices): number {
  const runM = centreLineM(footing, footing.width.valueNm ?? 0);
  const every = (nm: Nanometres) => (nm === 0 ? 0 : 1 / toMetres(nm));
  return (
    runM * (every(choices.crossSpacing) + every(choices.stemUprights) + every(choices.anchorSpacing) + choices.stemRows)
  );
}

/** Lays out a footing with its steel, and the stem wall on it. */
export function layOutFooting(footing: Footing, _assembly: Assembly, site: Site): Layout {
  const { context } = site;
  const choices = groundChoicesOf(footing, context.system);
  const prisms = stripPrisms(footing, choices);
  const say = (nm: Nanometres | null) => formatLength(nm ?? 0, context.system);
  const lineNm = Math.round(centreLineM(footing, footing.width.valueNm ?? 0) * NM_PER_M);
  return laidInGround(
    {
      name: footing.name,
      choices,
      prisms,
      faces: stemFaces(prisms, choices),
      expectedBars: expectedBars(footing, choices),
      steel: (longest) => [...footingBars(footing, choices, longest), ...stemBars(footing, choices, longest)],
      polygon: [],
      repeats: 1,
      words: {
        name: footing.name,
        runWords: formatRunningLength(lineNm, context.system),
        sizeWords: `${say(footing.width.valueNm)} × ${say(footing.thickness.valueNm)}`,
        stemWords: footing.stem
          ? `a wall ${say(footing.stemWidth.valueNm)} thick and ${say(footing.stemHeight.valueNm)} high on it`
          : "",
        stepWords: footing.steps.length === 0 ? "" : `${manyWords(footing.steps.length)} stepped down`,
        fillWords: say(choices.fill),
        blindingWords: say(choices.blinding),
      },
      told: stripTold(footing, context.system),
      draw: () => drawStrip(footing, context),
    },
    site,
  );
}
