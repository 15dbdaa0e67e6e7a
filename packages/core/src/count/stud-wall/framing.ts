import { type Assembly, timberCode } from "../../assemblies";
import type { FramingPiece, StudTally } from "../../layouts";
import { type FramingRole, type PartContext, type StudWall, sectionOf, type WorkingStep } from "../../parts";
import { formatLength, formatRunningLength, formatSpacing, type MeasuringSystem } from "../../units";
import type { CountLine, Working } from "../countLine";
import { ROLE_WORDS } from "./roles";
import { sourcesOf } from "./sources";

/** All that the working of a line is written from. */
type Group = {
  readonly role: FramingRole;
  readonly pieces: readonly FramingPiece[];
  readonly wall: StudWall;
  readonly tally: StudTally;
  readonly assembly: Assembly;
  readonly context: PartContext;
};

/** Equal lengths together, longest first. */
function lengthSteps(pieces: readonly { cutLengthNm: number }[], system: MeasuringSystem, what: string): WorkingStep[] {
  const counts = new Map<number, number>();
  for (const piece of pieces) counts.set(piece.cutLengthNm, (counts.get(piece.cutLengthNm) ?? 0) + 1);
  return [...counts]
    .toSorted(([a], [b]) => b - a)
    .map(([lengthNm, count]) => ({ label: `${what} at ${formatLength(lengthNm, system)}`, value: String(count) }));
}

function groupByRoleAndSection(pieces: readonly FramingPiece[]): Map<string, FramingPiece[]> {
  const groups = new Map<string, FramingPiece[]>();
  for (const piece of pieces) {
    const key = `${piece.role}/${piece.sectionId}`;
    const group = groups.get(key);
    if (group) group.push(piece);
    else groups.set(key, [piece]);
  }
  return groups;
}

/** One line for each role and section. The quantity is the number of pieces drawn. */
export function framingLines(
  wall: StudWall,
  pieces: readonly FramingPiece[],
  tally: StudTally,
  assembly: Assembly,
  context: PartContext,
): CountLine[] {
  return [...groupByRoleAndSection(pieces)].flatMap(([key, group]) => {
    const [first] = group;
    return first ? [framingLine(key, first, { role: first.role, pieces: group, wall, tally, assembly, context })] : [];
  });
}

function framingLine(key: string, first: FramingPiece, group: Group): CountLine {
  const { wall, pieces, assembly, context } = group;
  const section = sectionOf(context.sections, first.sectionId);
  const task = assembly.labourTasks[first.role];
  return {
    id: `${wall.id}/${key}`,
    partId: wall.id,
    partName: wall.name,
    trade: "Framing",
    description: `${ROLE_WORDS[first.role].name}, ${section.name}`,
    itemCode: timberCode(section.id),
    quantity: pieces.length,
    unit: "piece",
    cutLengthsNm: pieces.map((piece) => piece.cutLengthNm),
    pieceIds: pieces.map((piece) => piece.id),
    ...(task ? { labourTask: task } : {}),
    working: workingOf(group),
  };
}

function workingOf(group: Group): Working {
  const { sentence, source } = ROLE_WORDS[group.role];
  const from = sourcesOf(group.role, group.wall);
  return { sentence, from, ...(source ? { source } : {}), ...formulaOf(group) };
}

type Formula = Pick<Working, "formula" | "withNumbers" | "steps">;

function formulaOf(group: Group): Formula {
  switch (group.role) {
    case "stud":
      return studFormula(group);
    case "bottom-plate":
    case "top-plate":
    case "cap-plate":
      return plateFormula(group);
    case "king":
      return kingFormula(group);
    default:
      return openingFormula(group);
  }
}

const lessOf = (count: number): string => (count === 0 ? "0" : `−${count}`);

function studFormula({ wall, pieces, tally, context }: Group): Formula {
  const length = formatLength(wall.length.valueNm ?? 0, context.system);
  const spacing = formatSpacing(wall.parameters.spacingNm.value, context.system);
  return {
    formula: "round up(length ÷ spacing) + 1 − on an end stud − at openings",
    withNumbers: `round up(${length} ÷ ${spacing}) + 1 − ${tally.onEndStud} − ${tally.atOpenings} = ${pieces.length}`,
    steps: [
      { label: `layout positions along ${length} at ${spacing}`, value: String(tally.layoutPositions) },
      { label: "standing in an end stud, already counted", value: lessOf(tally.onEndStud) },
      { label: "inside openings or on their jambs", value: lessOf(tally.atOpenings) },
      ...lengthSteps(pieces, context.system, "studs"),
    ],
  };
}

function plateFormula({ pieces, assembly, context }: Group): Formula {
  const totalNm = pieces.reduce((sum, piece) => sum + piece.cutLengthNm, 0);
  const longest = formatLength(assembly.longestPlateNm, context.system);
  return {
    formula: "runs, spliced at the longest stock",
    withNumbers: `${formatRunningLength(totalNm, context.system)} in pieces of at most ${longest} = ${pieces.length}`,
    steps: lengthSteps(pieces, context.system, "pieces"),
  };
}

function kingFormula({ wall, pieces, context }: Group): Formula {
  const sides = 2 * wall.openings.length;
  return {
    formula: "2 × openings − those an end stud or a neighbour serves",
    withNumbers: `2 × ${wall.openings.length} − ${sides - pieces.length} = ${pieces.length}`,
    steps: lengthSteps(pieces, context.system, "kings"),
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
