import type { Assembly, FramingRules } from "../../../assemblies";
import type { FramingPiece } from "../../../drawing/piece";
import type { RoleWorking } from "../../../layouts/layout";
import { formatLength, formatRunningLength, formatSpacing, type MeasuringSystem } from "../../../units";
import { type FramingRole, framingOf, type PartContext, type StudWall, type WorkingStep } from "../..";
import type { LongestPlate } from "./frame";
import { sourcesOf } from "./sources";
import type { StudTally } from "./studs";

/** All that the working of a role is written from. */
type Group = {
  readonly role: FramingRole;
  readonly pieces: readonly FramingPiece[];
  readonly wall: StudWall;
  readonly tally: StudTally;
  readonly rules: FramingRules;
  readonly context: PartContext;
  readonly longestPlate: LongestPlate;
};

/** Equal lengths together, longest first. */
function lengthSteps(pieces: readonly { cutLengthNm: number }[], system: MeasuringSystem, what: string): WorkingStep[] {
  const counts = new Map<number, number>();
  for (const piece of pieces) counts.set(piece.cutLengthNm, (counts.get(piece.cutLengthNm) ?? 0) + 1);
  return [...counts]
    .toSorted(([a], [b]) => b - a)
    .map(([lengthNm, count]) => ({ label: `${what} at ${formatLength(lengthNm, system)}`, value: String(count) }));
}

const isFramingRole = (role: string, pieces: readonly FramingPiece[]): role is FramingRole =>
  pieces.some((piece) => piece.role === role);

/** How the count of a role of the frame came to be; undefined for what is no stick of it. */
export function framingWorking(
  role: string,
  sectionId: string,
  framed: Omit<Group, "role" | "rules"> & { readonly assembly: Assembly },
): RoleWorking | undefined {
  const { wall, assembly, pieces: all } = framed;
  const { framing: rules } = assembly;
  if (!rules || !isFramingRole(role, all)) return undefined;
  const pieces = all.filter((piece) => piece.role === role && (sectionId === "" || piece.sectionId === sectionId));
  return { from: sourcesOf(role, wall), ...formulaOf({ ...framed, role, pieces, rules }) };
}

type Formula = Omit<RoleWorking, "from">;

function formulaOf(group: Group): Formula {
  switch (group.role) {
    case "stud":
      return studFormula(group);
    case "bottom-plate":
    case "treated-plate":
    case "top-plate":
    case "cap-plate":
      return plateFormula(group);
    case "king":
      return kingFormula(group);
    case "corner-stud":
    case "meeting-stud":
    case "ladder-block":
    case "blocking":
      return placesFormula(group);
    default:
      return openingFormula(group);
  }
}

const lessOf = (count: number): string => (count === 0 ? "0" : `−${count}`);

function studFormula({ wall, pieces, tally, context }: Group): Formula {
  const length = formatLength(wall.length.valueNm ?? 0, context.system);
  const spacing = formatSpacing(framingOf(wall, context.system).spacing, context.system);
  const { onEndStud, atOpenings, atCorners, atBreaks } = tally;
  const corners = atCorners > 0 ? { said: " − at corners and meeting walls", figure: ` − ${atCorners}` } : undefined;
  const breaks = atBreaks > 0 ? { said: " + under breaks", figure: ` + ${atBreaks}` } : undefined;
  return {
    formula: `round up(length ÷ spacing) + 1 − on an end stud − at openings${corners?.said ?? ""}${breaks?.said ?? ""}`,
    withNumbers: `round up(${length} ÷ ${spacing}) + 1 − ${onEndStud} − ${atOpenings}${corners?.figure ?? ""}${breaks?.figure ?? ""} = ${pieces.length}`,
    steps: [
      { label: `layout positions along ${length} at ${spacing}`, value: String(tally.layoutPositions) },
      { label: "standing in an end stud, already counted", value: lessOf(onEndStud) },
      { label: "inside openings or on their jambs", value: lessOf(atOpenings) },
      ...(corners ? [{ label: "where a corner or meeting stud stands", value: lessOf(atCorners) }] : []),
      ...(breaks ? [{ label: "under a break of the top", value: String(atBreaks) }] : []),
      ...lengthSteps(pieces, context.system, "studs"),
    ],
  };
}

function plateFormula({ role, pieces, longestPlate, context }: Group): Formula {
  const totalNm = pieces.reduce((sum, piece) => sum + piece.cutLengthNm, 0);
  const longest = formatLength(longestPlate(role), context.system);
  return {
    formula: "runs, spliced at the longest stock",
    withNumbers: `${formatRunningLength(totalNm, context.system)} in pieces of at most ${longest} = ${pieces.length}`,
    steps: lengthSteps(pieces, context.system, "pieces"),
  };
}

function kingFormula({ wall, pieces, context }: Group): Formula {
  const perOpening = 2 * framingOf(wall, context.system).kingsPerSide;
  const full = perOpening * wall.openings.length;
  return {
    formula: `${perOpening} × openings − those an end stud or a neighbour serves`,
    withNumbers: `${perOpening} × ${wall.openings.length} − ${full - pieces.length} = ${pieces.length}`,
    steps: lengthSteps(pieces, context.system, "kings"),
  };
}

function placesFormula({ pieces, context }: Group): Formula {
  return {
    formula: "as many as are laid out",
    withNumbers: `${pieces.length} laid out`,
    steps: lengthSteps(pieces, context.system, "pieces"),
  };
}

function openingFormula({ wall, pieces, context }: Group): Formula {
  const perOpening = wall.openings
    .map((opening) => ({ label: opening.name, count: pieces.filter((piece) => piece.openingId === opening.id).length }))
    .filter((each) => each.count > 0);
  return {
    formula: "pieces at each opening, added up",
    withNumbers: `${perOpening.map((each) => each.count).join(" + ")} = ${pieces.length}`,
    steps: [
      ...perOpening.map((each) => ({ label: each.label, value: String(each.count) })),
      ...lengthSteps(pieces, context.system, "pieces"),
    ],
  };
}
