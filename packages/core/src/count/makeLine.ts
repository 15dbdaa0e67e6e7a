import { type CompiledRule, fillTemplate, standardValue, standardWaste, type Value } from "../assemblies";
import { type Section, sectionOf } from "../kinds";
import { type FramingPiece, isBar, isCourse, isFraming, itemIdOf, type Piece } from "../layouts";
import type { Layout } from "../layouts/layout";
import { ownValue } from "../records/ownValue";
import type { Nanometres } from "../units";
import { CountedLine } from "./countedLine";
import type { Basis, LineSupply } from "./countLine";
import { workingOf } from "./lineWorking";
import { piecesOf, type Round } from "./round";
import { ruleWords } from "./ruleWords";

/** What a rule came to, and who supplies it. */
export type Came = { readonly quantity: number; readonly supply: LineSupply | undefined };

/** One line for each timber section among the pieces counted. Reckoned pieces are all of the wall's own section. */
export function linesBySection(compiled: CompiledRule, round: Round, came: Came): CountedLine[] {
  const { quantity, supply } = came;
  const groups = bySection(piecesOf(compiled, round));
  if (groups.size === 0) {
    const sectionId = timberOf(compiled, round);
    return [makeLine(compiled, round, { quantity, supply, sectionId, pieces: [] })];
  }
  let all = 0;
  for (const pieces of groups.values()) all += pieces.length;
  return Array.from(groups, ([sectionId, pieces]) =>
    makeLine(compiled, round, { quantity: (quantity * pieces.length) / all, supply, sectionId, pieces }),
  );
}

/** Of pieces that have no place: as the layout has it, else the part's own studs. */
function timberOf({ roles: [role] }: CompiledRule, { layout, ground }: Round): string {
  const own = role === undefined ? undefined : layout.timberOf?.(role);
  return own ?? String(ground.values.get("studSize") ?? "");
}

/** One line for each item among the pieces counted: lintels as the table has them. */
export function linesByItem(compiled: CompiledRule, round: Round, came: Came): CountedLine[] {
  const { quantity, supply } = came;
  const groups = new Map<string, Piece[]>();
  const pieces = piecesOf(compiled, round);
  for (const piece of pieces) {
    const itemId = itemIdOf(piece) ?? "";
    const group = groups.get(itemId);
    if (group) group.push(piece);
    else groups.set(itemId, [piece]);
  }
  return Array.from(groups, ([itemId, own]) =>
    makeLine(compiled, round, {
      quantity: (quantity * own.length) / pieces.length,
      supply,
      sectionId: "",
      itemId,
      pieces: own,
    }),
  );
}

function bySection(pieces: readonly Piece[]): Map<string, FramingPiece[]> {
  const groups = new Map<string, FramingPiece[]>();
  for (const piece of pieces) {
    if (!isFraming(piece)) continue;
    const group = groups.get(piece.sectionId);
    if (group) group.push(piece);
    else groups.set(piece.sectionId, [piece]);
  }
  return groups;
}

type Counted = {
  readonly quantity: number;
  readonly sectionId: string;
  /** What its pieces are of, where the layout says. */
  readonly itemId?: string;
  readonly pieces: readonly Piece[];
  readonly missing?: string;
  readonly supply?: LineSupply | undefined;
};

/** A line for what a rule counted on a part. */
export function makeLine(compiled: CompiledRule, round: Round, counted: Counted): CountedLine {
  const { rule } = compiled;
  const { part, assembly, useId, layout, library, context } = round;
  const { sectionId, itemId, pieces } = counted;
  const section = sectionId ? sectionOf(context.sections, sectionId) : undefined;
  const key = keyOf(useId, rule.name, sectionId || (itemId ?? ""));
  const quantity = counted.quantity * layout.repeats;
  const itemCode = itemOf(compiled, counted, round.ground.values);
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
    description: descriptionOf(rule, section, itemId),
    itemCode,
    quantity,
    computed: quantity,
    note: noteOf(compiled, round, sectionId),
    missing: counted.missing,
    unit: rule.unit,
    basis: basisOf(layout, pieces),
    buying: rule.buying,
    wastePercent: rule.wastePercent ?? standardWaste(library.standard, itemCode),
    cutLengthsNm,
    labourTask: rule.task,
    supply: counted.supply,
    option: rule.option === undefined ? undefined : { name: rule.option, words: ruleWords(compiled, round) },
    ordered: undefined,
    roundsAlone: layout.roundsAlone === true && rule.buying === "whole" ? true : undefined,
    sheetRoles: compiled.countsSheets ? compiled.roles : undefined,
    byHand: undefined,
  };
  return new CountedLine(line, {
    pieceIds: () => pieces.map((piece) => piece.id),
    working: () => workingOf(compiled, round, counted, quantity),
  });
}

/** With what tells lines of one rule apart: the timber that is cut, or which of a table it is. */
function descriptionOf(
  { label, buying }: CompiledRule["rule"],
  section: Section | undefined,
  itemId: string | undefined,
) {
  if (itemId) return `${label}, ${itemId.replaceAll("-", " ")}`;
  return section && buying === "cut" ? `${label}, ${section.name}` : label;
}

/** The use it comes by where it has one, the rule, and the section where there may be several. */
function keyOf(useId: string, rule: string, sectionId: string): string {
  const ofUse = useId === "" ? rule : `${useId}/${rule}`;
  return sectionId === "" ? ofUse : `${ofUse}/${sectionId}`;
}

/** What stands out: the option it belongs to, and studs other than the house's. */
function noteOf(compiled: CompiledRule, round: Round, sectionId: string): string | undefined {
  const { option } = compiled.rule;
  const studs =
    !round.layout.reckoned && compiled.roles.includes("stud") && sectionId ? unusualStuds(round) : undefined;
  const notes = [option === undefined ? undefined : `Option: ${option}`, studs].filter((each) => each !== undefined);
  return notes.length === 0 ? undefined : notes.join(". ");
}

/** A wall that somebody made deeper or thinner than the house builds them: for pipes, as a rule. It is easily overlooked. */
function unusualStuds({ assembly, library, layout, context }: Round): string | undefined {
  const own = layout.choices.get("studSize");
  const parameter = assembly.parameters.find((each) => each.name === "studSize");
  const usual = standardValue(library.standard, assembly.id, "studSize") ?? parameter?.default;
  if (typeof usual !== "string" || typeof own !== "string" || usual === own) return undefined;
  const name = (id: string) => ownValue(context.sections, id)?.name ?? id;
  return `This wall has ${name(own)} studs; the usual ones are ${name(usual)}`;
}

function basisOf({ reckoned, byArea }: Layout, pieces: readonly Piece[]): Basis {
  if (reckoned) return "reckoned";
  if (byArea && pieces.some(isCourse)) return "formula";
  return pieces.length > 0 ? "laid-out" : "formula";
}

function cutLengths({ roles }: CompiledRule, { layout }: Round, pieces: readonly Piece[]): number[] {
  const once: Nanometres[] = [];
  for (const piece of pieces) if (isFraming(piece) || isBar(piece)) once.push(piece.cutLengthNm);
  if (pieces.length === 0) for (const role of roles) once.push(...layout.laid.lengthsNm(role));
  return layout.repeats === 1 ? once : Array.from({ length: layout.repeats }, () => once).flat();
}

/** The price list's code. What could not be counted is of the part's own timber. */
function itemOf({ item }: CompiledRule, { sectionId, itemId }: Counted, values: ReadonlyMap<string, Value>): string {
  const section = sectionId || String(values.get("studSize") ?? "");
  return fillTemplate(item, (name) => {
    if (name === "section") return section;
    return name === "piece" ? (itemId ?? "") : String(values.get(name) ?? name);
  });
}
