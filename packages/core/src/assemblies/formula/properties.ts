import { ownValue } from "../../records/ownValue";
import { areaOf, toMetres } from "../../units";
import type { Books } from "../library";
import type { AssemblyParameter } from "../schema";
import type { Value } from "./layoutAnswers";
import { AREA, COUNT, DENSITY, type FormulaType, LENGTH, MASS, VOLUME } from "./types";

type Kind = AssemblyParameter["kind"];

/** What is known of the things that ship with the product, by the kind of parameter that names them. */
const OF_BOOKS: Partial<Record<Kind, Readonly<Record<string, FormulaType>>>> = {
  section: { thickness: LENGTH, depth: LENGTH },
  sheet: { width: LENGTH, height: LENGTH, area: AREA },
  unit: {
    length: LENGTH,
    height: LENGTH,
    thickness: LENGTH,
    bedJoint: LENGTH,
    perpendJoint: LENGTH,
    volume: VOLUME,
    cores: VOLUME,
  },
};

const BY_KIND: Record<string, FormulaType> = {
  length: LENGTH,
  area: AREA,
  volume: VOLUME,
  mass: MASS,
  density: DENSITY,
  number: COUNT,
};

/** What formulas can ask of what a parameter names: of a brick its length, of a bag what it yields. */
export const propertiesOf = ({ kind, properties = [] }: AssemblyParameter): ReadonlyMap<string, FormulaType> =>
  new Map([
    ...Object.entries(OF_BOOKS[kind] ?? {}),
    ...properties.map((each) => [each.name, BY_KIND[each.kind] ?? COUNT] as const),
  ]);

/** The value of a property of what is chosen, in base units; undefined where it has none. */
export function propertyValue(
  { kind, choices }: AssemblyParameter,
  chosen: Value,
  property: string,
  books: Books,
): number | undefined {
  const own = ownValue(choices?.find((each) => each.value === chosen)?.properties ?? {}, property);
  return own ?? ofBook(kind, String(chosen), property, books);
}

function ofBook(kind: Kind, id: string, property: string, { sections, sheets, units }: Books): number | undefined {
  const section = kind === "section" ? ownValue(sections, id) : undefined;
  if (section)
    return ownValue({ thickness: toMetres(section.thicknessNm), depth: toMetres(section.depthNm) }, property);
  const sheet = kind === "sheet" ? ownValue(sheets, id) : undefined;
  if (sheet) {
    const { widthNm, heightNm } = sheet;
    const all = { width: toMetres(widthNm), height: toMetres(heightNm), area: areaOf(widthNm, heightNm) };
    return ownValue(all, property);
  }
  const unit = kind === "unit" ? ownValue(units, id) : undefined;
  if (!unit) return undefined;
  const all = {
    length: toMetres(unit.lengthNm),
    height: toMetres(unit.heightNm),
    thickness: toMetres(unit.thicknessNm),
    bedJoint: toMetres(unit.bedJointNm),
    perpendJoint: toMetres(unit.perpendJointNm),
    volume: areaOf(unit.lengthNm, unit.heightNm) * toMetres(unit.thicknessNm),
    cores: unit.coreM3 ?? 0,
  };
  return ownValue(all, property);
}
