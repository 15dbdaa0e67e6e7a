import {
  type Assembly,
  compileAssembly,
  type SheetDimensions,
  settleParameters,
  slotValues,
  type Value,
} from "../../../assemblies";
import type { Drawing, PlanRole, PlanShape } from "../../../drawing/drawing";
import { isFraming, isSheet, type Piece } from "../../../drawing/piece";
import { polygonArea } from "../../../geometry";
import { drawJoisted, type JoistChoices, type Joisted, joistChoicesOf } from "../../../joists";
import { type Layout, piecesByRole, type Site } from "../../../layouts";
import {
  expectedPieces,
  FLOOR_PANEL,
  type FloorPanels,
  joistsTold,
  type LaidJoists,
  type Longest,
  layFloorPanels,
  layJoists,
  MOST_JOIST_PIECES,
} from "../../../layouts/joists";
import type { SlotParameter } from "../../../parts/slot";
import { type Problem, problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { areaOf, formatLength, type MeasuringSystem, plural } from "../../../units";
import { manyWords } from "../../raft/build/layOut";
import { roleOf } from "../../registry";
import { longestSold } from "../../roof/build/longest";
import { roofWorking } from "../../roof/build/working";
import { sheetWorking } from "../../stud-wall/build/sheets";

const tooMany = (name: string, what: string): Problem =>
  problem(
    "too-many-pieces",
    "",
    `${name} would take more than ${MOST_JOIST_PIECES.toLocaleString("en")} ${what}: they are not laid. Check the unit of its figures.`,
  );

type Panelled = {
  readonly panels: FloorPanels | undefined;
  readonly problems: readonly Problem[];
  readonly byArea: number;
};

/** The sheet that a floor is covered with; nothing where it is not, or where the library lacks it. */
export function panelSize(laid: LaidJoists, assembly: Assembly, known: ReadonlyMap<string, Value>, { library }: Site) {
  const { part } = laid.plan;
  const { settled } = settleParameters(assembly, part.choices, library.standard, known, library);
  const chosenFor = (name: string) => settled.get(name)?.value ?? known.get(name);
  const sizeId = chosenFor("decked") === true ? chosenFor("panel") : undefined;
  return { sizeId, size: sizeId === undefined ? undefined : ownValue(library.sheets, String(sizeId)) };
}

/** Whether there would be more panels than there are of anything. */
export const manyPanels = ({ plan: { shape } }: LaidJoists, size: SheetDimensions): boolean =>
  polygonArea(shape.polygon) / areaOf(size.widthNm, size.heightNm) > MOST_JOIST_PIECES;

function panelsOver(laid: LaidJoists, assembly: Assembly, known: ReadonlyMap<string, Value>, site: Site): Panelled {
  const { sizeId, size } = panelSize(laid, assembly, known, site);
  if (sizeId === undefined) return { panels: undefined, problems: [], byArea: 0 };
  if (!size) {
    const message = `There is no sheet “${sizeId}” in the library.`;
    return { panels: undefined, problems: [problem("unknown-sheet", "choices.panel", message)], byArea: 0 };
  }
  if (laid.plan.choices.panelsBy === "by-area") return { panels: undefined, problems: [], byArea: 0 };
  if (manyPanels(laid, size))
    return { panels: undefined, problems: [tooMany(laid.plan.part.name, "panels")], byArea: 0 };
  const panels = layFloorPanels(laid.plan, laid.joists, size);
  const byArea = Math.ceil(panels.coverM2 / areaOf(size.widthNm, size.heightNm) - 1e-9);
  return { panels, problems: panelsTold(panels, laid, size.heightNm), byArea };
}

function panelsTold({ looseJoints }: FloorPanels, { plan }: LaidJoists, longNm: number): Problem[] {
  const say = (nm: number) => formatLength(nm, plan.context.system);
  if (looseJoints > 0 && longNm % plan.choices.joistSpacing === 0) {
    const many = plural(looseJoints, "One end joint of panels lies", `${looseJoints} end joints of panels lie`);
    return [
      problem(
        "joints-off-joists",
        "panelShift",
        `${many} on no joist. Move the panels or the joists, or block under them.`,
      ),
    ];
  }
  if (looseJoints === 0) return [];
  const message = `${looseJoints} end joints of panels lie on no joist: ${say(longNm)} is no whole number of spacings of ${say(plan.choices.joistSpacing)}. Cut them to joists, or block under them.`;
  return [problem("joints-off-joists", "choices.joistSpacing", message)];
}

function answersOf(panels: FloorPanels | undefined) {
  return (name: string, [role, edge, field]: readonly Value[]): number | undefined => {
    const own = role === FLOOR_PANEL ? panels : undefined;
    if (name === "sheets") return own?.bought ?? 0;
    if (name === "cover") return own?.coverM2 ?? 0;
    if (name !== "sheetFixings") return undefined;
    const [edgeNm, fieldNm] = [edge, field].map((value) => Math.round(Number(value) * 1e9));
    if (!edgeNm || !fieldNm || !(edgeNm > 0 && fieldNm > 0)) return Number.NaN;
    return own?.fixings(edgeNm, fieldNm) ?? 0;
  };
}

function planRoleOf(piece: Piece, over: ReadonlySet<string>): PlanRole {
  if (isSheet(piece)) return "panel";
  if (!isFraming(piece)) return "metal";
  return over.has(piece.role) ? "board" : "timber";
}

const NONE: ReadonlySet<string> = new Set();

/** A plan with every stick on it, and what is seen when it is lit. */
function withPieces(drawing: Drawing, pieces: readonly Piece[], over: ReadonlySet<string> = NONE): Drawing {
  if (drawing.kind !== "plan") return drawing;
  const shapes = pieces.map((piece): PlanShape => {
    const { id, xNm, yNm, widthNm, heightNm } = piece;
    const corner = (x: number, y: number) => ({ xNm: xNm + x * widthNm, yNm: yNm + y * heightNm });
    const points = ("points" in piece ? piece.points : undefined) ?? [
      corner(0, 0),
      corner(1, 0),
      corner(1, 1),
      corner(0, 1),
    ];
    return { id, role: planRoleOf(piece, over), points, closed: true };
  });
  return { ...drawing, shapes: [...drawing.shapes, ...shapes] };
}

/** What lies in a part and is in no line of what builds it. */
function uncounted(byRole: ReadonlyMap<string, readonly Piece[]>, assembly: Assembly): Problem[] {
  const rules = compileAssembly(assembly).inOrder.filter(({ rule }) => rule.item !== "");
  const counted = new Set(rules.flatMap(({ roles }) => roles));
  // Screws and brackets go by timber as well: what is cut is counted where it is cut.
  const isCut = new Set(rules.filter(({ rule }) => rule.buying === "cut").flatMap(({ roles }) => roles));
  const left = [...byRole].filter(
    ([role, pieces]) => pieces.length > 0 && !(roleOf(role)?.form === "stick" ? isCut : counted).has(role),
  );
  return left.map(([role, pieces]) =>
    problem(
      "pieces-uncounted",
      "assembly",
      `${pieces.length} ${roleOf(role)?.words ?? role} lie in it, and no line of “${assembly.name}” counts them: take its newest version, or add a line.`,
    ),
  );
}

/** What a kind of part adds to its joists, and says of them. */
export type OnJoists = {
  readonly parameters: readonly SlotParameter[];
  /** What such a part has none of, whatever is usual elsewhere. */
  readonly without?: Partial<JoistChoices>;
  /** Pieces beside the joists and what carries them. */
  readonly more: (laid: LaidJoists, longest: Longest) => readonly Piece[];
  readonly words: (laid: LaidJoists | undefined) => Readonly<Record<string, string>>;
  readonly told: (laid: LaidJoists) => readonly Problem[];
  /** What panels are called where they are compared with their area. */
  readonly panelsAre: string;
  /** As the kind is drawn, where that is more than its outline and openings. */
  readonly draw?: () => Drawing;
  /** Roles of what lies over the joists, and is seen through on the plan. */
  readonly over?: ReadonlySet<string>;
};

/** Lays out a part of joists: joists, what carries and stiffens them, what its kind adds, panels over them. */
export function laidOnJoists(part: Joisted, assembly: Assembly, site: Site, kind: OnJoists): Layout {
  const { context, library } = site;
  const choices: JoistChoices = { ...joistChoicesOf(part, context.system), ...kind.without };
  const known = slotValues(kind.parameters, choices);
  const longest = longestSold(assembly, library);
  const many = expectedPieces(part, choices) > MOST_JOIST_PIECES;
  const laid = many ? undefined : layJoists(part, choices, context, longest);
  const panelled = laid && panelsOver(laid, assembly, known, site);
  const panels = panelled?.panels;
  const more = laid ? kind.more(laid, longest) : [];
  const pieces: Piece[] = [...(laid?.pieces ?? []), ...more, ...(panels?.pieces ?? [])];
  const byRole = piecesByRole(pieces);
  const sticks = (role: string) => (byRole.get(role) ?? []).filter(isFraming);
  return {
    pieces,
    draw: () => withPieces(kind.draw?.() ?? drawJoisted(part, context), pieces, kind.over),
    laid: {
      lengthsNm: (role) => (byRole.get(role) ?? []).map((piece) => (isFraming(piece) ? piece.cutLengthNm : 0)),
      ask: answersOf(panels),
      sheetSize: (sizeId) => ownValue(library.sheets, sizeId),
    },
    panels: panels && { bought: panels.bought, offcutM2: panels.offcutM2, looseJoints: panels.looseJoints },
    compared: panels && panelled ? [{ what: kind.panelsAre, laidOut: panels.bought, byArea: panelled.byArea }] : [],
    choices: known,
    reckoned: false,
    byArea: choices.panelsBy === "by-area",
    repeats: 1,
    words: kind.words(laid),
    workingOf: (role, sectionId) =>
      role === FLOOR_PANEL
        ? sheetWorking(role, panels?.pieces ?? [], context)
        : roofWorking(
            sticks(role).filter((piece) => sectionId === "" || piece.sectionId === sectionId),
            context,
          ),
    problems: [
      ...(many ? [tooMany(part.name, "pieces")] : []),
      ...(laid ? [...joistsTold(laid, longest), ...kind.told(laid)] : []),
      ...(panelled?.problems ?? []),
      ...uncounted(byRole, assembly),
    ],
  };
}

/** What anything of joists is called in the quote, and what its joists and its openings are. */
export function joistWords(
  { name, openings }: Joisted,
  laid: LaidJoists | undefined,
  system: MeasuringSystem,
): Record<string, string> {
  const of = (kind: string) => openings.filter((each) => each.kind === kind).length;
  const named = [
    ["stair", "stair opening", "stair openings"],
    ["chimney", "chimney opening", "chimney openings"],
    ["hatch", "hatch", "hatches"],
  ] as const;
  return {
    name,
    spacingWords: formatLength(laid?.plan.choices.joistSpacing ?? 0, system),
    joistWords: laid?.plan.joist.name ?? "",
    openingWords: named
      .filter(([kind]) => of(kind) > 0)
      .map(([kind, one, many]) => `${manyWords(of(kind))} ${of(kind) === 1 ? one : many}`)
      .join(" and "),
  };
}
