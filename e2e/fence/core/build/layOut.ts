import type { Assembly } from "../../../assemblies";
import type { FramingPiece } from "../../../drawing/piece";
import type { Layout, Site } from "../../../layouts";
import { sectionOf } from "../../../parts/section";
import { inches, type Nanometres } from "../../../units";
import { choicesIn, drawFence, type Fence } from "../index";

const BOARD_NM = inches(5.5);

type Stick = Pick<FramingPiece, "id" | "role" | "sectionId" | "xNm" | "yNm" | "widthNm" | "heightNm">;

const stick = (piece: Stick): FramingPiece => ({ ...piece, cutLengthNm: Math.max(piece.widthNm, piece.heightNm) });

const times = (count: number): readonly number[] => Array.from({ length: count }, (_, index) => index);

/** Posts at both ends and at equal stretches between them, rails from post to post, boards over all. */
export function layOutFence(fence: Fence, _assembly: Assembly, { context, library }: Site): Layout {
  const { postSection, railSection, postEvery, rails, boardGap } = choicesIn(fence);
  const [lengthNm, heightNm] = [fence.length.valueNm ?? 0, fence.height.valueNm ?? 0];
  const bays = Math.max(1, Math.ceil(lengthNm / postEvery));
  const at = (bay: number): Nanometres => Math.round((lengthNm * bay) / bays);
  const { depthNm: postNm } = sectionOf(context.sections, postSection);
  const { depthNm: railNm } = sectionOf(context.sections, railSection);
  const posts = times(bays + 1).map((index) =>
    stick({
      id: `post-${index + 1}`,
      role: "fence-post",
      sectionId: postSection,
      xNm: Math.max(0, Math.min(lengthNm - postNm, at(index) - postNm / 2)),
      yNm: 0,
      widthNm: postNm,
      heightNm,
    }),
  );
  const all = times(bays).flatMap((bay) =>
    times(rails).map((rail) =>
      stick({
        id: `rail-${bay + 1}-${rail + 1}`,
        role: "fence-rail",
        sectionId: railSection,
        xNm: at(bay),
        yNm: Math.round(((heightNm - railNm) * (rail + 1)) / (rails + 1)),
        widthNm: at(bay + 1) - at(bay),
        heightNm: railNm,
      }),
    ),
  );
  const boards = times(Math.ceil((lengthNm + boardGap) / (BOARD_NM + boardGap))).map((index) => {
    const xNm = index * (BOARD_NM + boardGap);
    const widthNm = Math.max(1, Math.min(BOARD_NM, lengthNm - xNm));
    return stick({
      id: `board-${index + 1}`,
      role: "fence-board",
      sectionId: railSection,
      xNm,
      yNm: 0,
      widthNm,
      heightNm,
    });
  });
  const pieces = [...posts, ...all, ...boards];
  return {
    pieces,
    draw: () => {
      const drawing = drawFence(fence, context);
      return drawing.kind === "elevation" ? { ...drawing, rectangles: [...drawing.rectangles, ...pieces] } : drawing;
    },
    laid: {
      lengthsNm: (role) => pieces.filter((piece) => piece.role === role).map((piece) => piece.cutLengthNm),
      ask: () => undefined,
      sheetSize: (sizeId) => library.sheets[sizeId],
    },
    choices: new Map(),
    reckoned: false,
    repeats: 1,
    words: { name: fence.name },
    workingOf: () => undefined,
    problems: [],
  };
}
