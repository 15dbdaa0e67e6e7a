import { builderOf, type Library, partContext, settlePart } from "../../assemblies";
import { countPart, type PartCount } from "../../count";
import type { Drawing } from "../../drawing/drawing";
import type { Piece } from "../../drawing/piece";
import type { Part, Scalar } from "../../kinds";
import { ALONE, type PartKind } from "../../parts/partKind";
import { type MeasuringSystem, toMetres } from "../../units";
import { valuesOf } from "../withoutEffect";
import { markOf } from "./mark";

/** All that a part comes to, in lines that a person can read where one of them changes. */
export type Answers = Readonly<Record<string, readonly string[]>>;

const text = (value: number): string => String(Number(value.toPrecision(7)));
const lengthNmOf = (piece: Piece): number => ("cutLengthNm" in piece ? piece.cutLengthNm : 0);

function ofPieces(pieces: readonly Piece[]): string[] {
  const roles = new Map<string, Piece[]>();
  for (const piece of pieces) roles.set(piece.role, [...(roles.get(piece.role) ?? []), piece]);
  return [...roles].map(([role, of]) => {
    const lengthM = of.reduce((sum, piece) => sum + toMetres(lengthNmOf(piece)), 0);
    return `${role}: ${of.length}, ${text(lengthM)} m in all, ${markOf(of)}`;
  });
}

function ofDrawing(drawing: Drawing): string[] {
  if (drawing.kind === "none") return [];
  const written = drawing.kind === "plan" ? drawing.figures : drawing.dimensions;
  return [`${drawing.kind} ${markOf(drawing)}`, `written: ${written.map((each) => each.text).join(", ")}`];
}

const ofCount = ({ lines }: PartCount): string[] =>
  lines.map((line) => `${line.key}: ${text(line.quantity)} ${line.unit} ${line.itemCode} ${markOf(line)}`);

/** What is bought, and where each piece lies: what is drawn of them is asked of the part as it stands. */
const inShort = ({ lines, pieces, scope, problems }: PartCount): string =>
  [
    lines.map((line) => [line.key, line.quantity, line.cutLengthsNm]),
    pieces.map((piece) => [piece.id, piece.xNm, piece.yNm, piece.widthNm, piece.heightNm, lengthNmOf(piece)]),
    [scope, problems],
  ]
    .map(markOf)
    .join(" ");

type Tried<P> = { readonly kind: PartKind<P>; readonly part: P; readonly system: MeasuringSystem };

/** One other value of every choice there is, as somebody gives it who changes one thing. */
function otherChoices<P extends Part>({ kind, part, system }: Tried<P>, library: Library): [string, Scalar][] {
  const { slot } = kind;
  if (!slot) return [];
  const settled = settlePart(part, system, library);
  const now = slot.values(settled);
  const own = builderOf(part, system, library)?.parameters ?? [];
  const ofAssembly = own.map((each) => ({
    name: each.name,
    now: settled.kind === part.kind ? (slot.of(part).choices[each.name] ?? each.default) : each.default,
    values: valuesOf(
      each,
      each.choices?.map(({ value }) => value),
      system,
    ),
  }));
  const ofSlot = slot.parameters
    .filter(({ name, applies }) => now.has(name) && (applies?.(now) ?? true))
    .map(({ name, kind: is, usual, among, stands }) => ({
      name,
      now: now.get(name),
      values: valuesOf({ kind: is, default: usual?.[system] ?? 1 }, among, system).filter(stands),
    }));
  const names = new Set(ofSlot.map(({ name }) => name));
  return [...ofSlot, ...ofAssembly.filter(({ name }) => !names.has(name))].flatMap((each): [string, Scalar][] => {
    const other = each.values.findLast((value) => value !== each.now);
    return other === undefined ? [] : [[each.name, other]];
  });
}

/** What one other value of each choice makes of a part. */
export const otherwise = <P extends Part>(tried: Tried<P>, library: Library): readonly string[] =>
  otherChoices(tried, library).map(([name, value]) => {
    const other = tried.kind.slot?.choose(tried.part, { [name]: value }) ?? tried.part;
    return `${name} = ${value}: ${inShort(countPart(other, tried.system, library))}`;
  });

/** What a part is counted as, drawn and said to be. */
export function answersOf<P extends Part>(tried: Tried<P>, library: Library): Answers {
  const { kind, part, system } = tried;
  const context = partContext(system, library);
  const placed = kind.placed?.(part, context) ?? part;
  const count = countPart(part, system, library);
  return {
    lines: ofCount(count),
    pieces: ofPieces(count.pieces),
    drawing: [...ofDrawing(count.drawing), ...ofDrawing(kind.draw(placed, context, ALONE))],
    figures: kind.dimensions(part, context).map(({ label, dimension }) => `${label}: ${dimension.valueNm}`),
    quantities: Object.entries(kind.quantities(placed, ALONE)).map(([name, value]) => `${name}: ${text(value)}`),
    measures: kind.measures(part, context, ALONE).map(({ name, text: shown }) => `${name}: ${shown}`),
    scope: count.scope,
    points: [...kind.openPoints(part, context), ...count.openPoints].map(({ path, message }) => `${path}: ${message}`),
    space: [
      markOf(count.pieces.map((piece) => kind.depthOf?.(placed, piece, context))),
      markOf(kind.skin?.(placed, context)),
    ],
  };
}
