import { isMeasuredUnit, type MeasuredUnit } from "../assemblies/records";
import type { CountLine } from "../count";
import type { PriceItem } from "./priceItem";

/**
 * How a line is got out of what an item is sold as. Lines of one item that are bought in different ways each go their own:
 * none takes another's place.
 */
export type Way =
  /** Its pieces are cut from stock lengths. */
  | { readonly by: "cut" }
  /** Pieces whose lengths nobody knows: a whole stock length each. */
  | { readonly by: "lengths" }
  /** A running length, joined from stock lengths. */
  | { readonly by: "run" }
  /** By the piece, pack, roll or tin; what is measured in different units does not add up. `alone`: for one part by itself. */
  | { readonly by: "pack"; readonly unit: MeasuredUnit | "count"; readonly alone?: string };

/** What a quantity is measured in. Volumes are one thing, however they are said. */
export function unitOfLine({ unit }: CountLine): MeasuredUnit | "count" {
  if (!isMeasuredUnit(unit)) return "count";
  return unit === "liquid" ? "volume" : unit;
}

export function wayOf(line: CountLine, { buying }: PriceItem): Way {
  const unit = unitOfLine(line);
  if (buying.by !== "length") return line.roundsAlone ? { by: "pack", unit, alone: line.partId } : { by: "pack", unit };
  if (line.cutLengthsNm.length > 0) return { by: "cut" };
  if (unit === "length") return { by: "run" };
  return unit === "count" ? { by: "lengths" } : { by: "pack", unit };
}

/** Lines of one item by the way they are bought, each way with all its lines. */
export function byWay(lines: readonly CountLine[], item: PriceItem): { way: Way; lines: CountLine[] }[] {
  const groups = new Map<string, { way: Way; lines: CountLine[] }>();
  for (const line of lines) {
    const way = wayOf(line, item);
    const key = way.by === "pack" ? `pack/${way.unit}/${way.alone ?? ""}` : way.by;
    const group = groups.get(key);
    if (group) group.lines.push(line);
    else groups.set(key, { way, lines: [line] });
  }
  return [...groups.values()];
}
