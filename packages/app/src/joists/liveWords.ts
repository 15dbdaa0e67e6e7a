import { ALL_JOISTS, type PartCount } from "@wide-porch/core";
import { quantityOf } from "../kinds/liveWords";

const JOISTS: ReadonlySet<string> = new Set(ALL_JOISTS);
const BOARDS: ReadonlySet<string> = new Set(["deck-board", "frame-board"]);

/** `16 joists, 23 pieces in all, 10 panels`: of what is laid of joists; boards in place of panels on a deck. */
export function joistsLive({ lines, pieces }: PartCount): string {
  const joists = pieces.filter(({ role }) => JOISTS.has(role)).length;
  const timber = lines.filter((line) => line.trade === "Framing" && line.buying === "cut");
  const panels = quantityOf(lines.filter((line) => line.trade === "Sheathing" && line.unit === "sheet"));
  const boards = pieces.filter(({ role }) => BOARDS.has(role)).length;
  return [
    `${joists} joists`,
    `${quantityOf(timber)} pieces in all`,
    ...(panels > 0 ? [`${panels} panels`] : []),
    ...(boards > 0 ? [`${boards} boards`] : []),
  ].join(", ");
}
