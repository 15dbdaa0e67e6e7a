import { type CompiledRule, standardValue, standardWaste, type Value } from "../assemblies";
import { type FramingPiece, isFraming, type Piece } from "../layouts";
import { sectionOf } from "../parts";
import { CountedLine } from "./countedLine";
import type { Basis } from "./countLine";
import type { LaidPart } from "./laidPart";
import { workingOf } from "./lineWorking";
import { piecesOf, type Round } from "./round";

/** One line for each timber section among the pieces counted. Reckoned pieces are all of the wall's own section. */
export function linesBySection(compiled: CompiledRule, round: Round, quantity: number): CountedLine[] {
  const pieces = piecesOf(compiled, round).filter(isFraming);
  if (pieces.length === 0) {
    const sectionId = String(round.ground.values.get("studSize") ?? "");
    return [makeLine(compiled, round, { quantity, sectionId, pieces })];
  }
  const [first] = pieces;
  if (pieces.every((piece) => piece.sectionId === first?.sectionId)) {
    return [makeLine(compiled, round, { quantity, sectionId: first?.sectionId ?? "", pieces })];
  }
  return [...bySection(pieces)].map(([sectionId, group]) =>
    makeLine(compiled, round, { quantity: (quantity * group.length) / pieces.length, sectionId, pieces: group }),
  );
}

function bySection(pieces: readonly FramingPiece[]): Map<string, FramingPiece[]> {
  const groups = new Map<string, FramingPiece[]>();
  for (const piece of pieces) {
    const group = groups.get(piece.sectionId);
    if (group) group.push(piece);
    else groups.set(piece.sectionId, [piece]);
  }
  return groups;
}

type Counted = {
  readonly quantity: number;
  readonly sectionId: string;
  readonly pieces: readonly Piece[];
  readonly missing?: string;
};

/** A line for what a rule counted on a part. */
export function makeLine(compiled: CompiledRule, round: Round, counted: Counted): CountedLine {
  const { rule } = compiled;
  const { part, assembly, useId, laidPart, standard, context } = round;
  const { sectionId, pieces } = counted;
  const section = sectionId ? sectionOf(context.sections, sectionId) : undefined;
  const key = [useId, rule.name, sectionId].filter(Boolean).join("/");
  const quantity = counted.quantity * laidPart.repeats;
  const itemCode = itemOf(rule.item, sectionId, round.ground.values);
  const cutLengthsNm = rule.buying === "cut" ? cutLengths(compiled, round, pieces) : [];
  const line = {
    id: `${part.id}/${key}`,
    key,
    partId: part.id,
    partName: part.name,
    storey: part.storey,
    location: part.location,
    assembly: { id: assembly.id, version: assembly.version, name: assembly.name },
    rule: rule.name,
    trade: rule.trade,
    phase: rule.phase,
    description: section && rule.buying === "cut" ? `${rule.label}, ${section.name}` : rule.label,
    itemCode,
    quantity,
    computed: quantity,
    note: compiled.roles.includes("stud") && sectionId ? unusualStuds(round) : undefined,
    missing: counted.missing,
    unit: rule.unit,
    basis: basisOf(laidPart, pieces),
    buying: rule.buying,
    wastePercent: rule.wastePercent ?? standardWaste(standard, itemCode),
    cutLengthsNm,
    pieceIds: pieces.map((piece) => piece.id),
    labourTask: rule.task,
    byHand: undefined,
  };
  return new CountedLine(line, () => workingOf(compiled, round, counted, quantity));
}

/** A wall that somebody made deeper or thinner than the house builds them: for pipes, as a rule. It is easily overlooked. */
function unusualStuds({ part, assembly, standard, context }: Round): string | undefined {
  if (part.kind !== "stud-wall" || part.parameters.studSize.assumed) return undefined;
  const parameter = assembly.parameters.find((each) => each.name === "studSize");
  const usual = standardValue(standard, assembly.id, "studSize") ?? parameter?.default;
  const own = part.parameters.studSize.value;
  if (typeof usual !== "string" || usual === own) return undefined;
  const name = (id: string) => context.sections[id]?.name ?? id;
  return `This wall has ${name(own)} studs; the usual ones are ${name(usual)}`;
}

function basisOf({ reckoned }: LaidPart, pieces: readonly Piece[]): Basis {
  if (reckoned) return "reckoned";
  return pieces.length > 0 ? "laid-out" : "formula";
}

function cutLengths({ roles }: CompiledRule, { laidPart }: Round, pieces: readonly Piece[]): number[] {
  const once =
    pieces.length > 0
      ? pieces.filter(isFraming).map((piece) => piece.cutLengthNm)
      : roles.flatMap((role) => [...laidPart.laid.lengthsNm(role)]);
  return laidPart.repeats === 1 ? once : Array.from({ length: laidPart.repeats }, () => once).flat();
}

function itemOf(item: string, sectionId: string, values: ReadonlyMap<string, Value>): string {
  if (!item.includes("{")) return item;
  return item.replace(/\{(\w+)\}/g, (_, name: string) =>
    name === "section" ? sectionId : String(values.get(name) ?? name),
  );
}
