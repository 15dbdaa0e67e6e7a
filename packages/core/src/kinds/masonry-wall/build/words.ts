import type { PartContext } from "../../../parts/partKind";
import { ownValue } from "../../../records/ownValue";
import { formatLength } from "../../../units";
import { openingsText } from "../../../wall/openingWords";
import { thicknessOf } from "../leaves";
import type { MasonryWall } from "../schema";
import { choicesOf } from "../slot";

/** What the scope says of a masonry wall that is no single value. */
export function masonryWordsOf(wall: MasonryWall, context: PartContext): Record<string, string> {
  const { unit, innerUnit, buildUp } = choicesOf(wall, context.system);
  const name = (id: string) =>
    (ownValue(context.units, id)?.name ?? id).replace(/^[A-Z]/, (first) => first.toLowerCase());
  return {
    name: wall.name,
    openingWords: openingsText(wall.openings),
    unitWords: name(unit),
    innerUnitWords: buildUp === "cavity" ? name(innerUnit) : "",
    thickness: formatLength(thicknessOf(wall, context), context.system),
  };
}
