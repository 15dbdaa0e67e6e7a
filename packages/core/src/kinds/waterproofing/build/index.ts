import { type Assembly, NOTHING_TO_ANSWER, slotValues } from "../../../assemblies";
import type { Layout, Site } from "../../../layouts";
import { type Problem, problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { dryAmounts } from "../amounts";
import { drawWaterproofing } from "../draw";
import { WATERPROOFING_PARAMETERS, type WaterproofingChoices, waterproofingChoicesOf } from "../parameters";
import type { Waterproofing } from "../schema";

/** What does not go together: told, and counted as it is. */
function told(part: Waterproofing, { channel, wallsBy, floorBy }: WaterproofingChoices): Problem[] {
  const amounts = dryAmounts(part);
  const found: Problem[] = [];
  if (part.pumps > 0 && part.sumps === 0)
    found.push(problem("pump-without-sump", "pumps", "There is a pump and no sump for it to stand in."));
  if (part.batteries > part.pumps)
    found.push(problem("battery-without-pump", "batteries", "There are more batteries than pumps."));
  if (part.outlets > 0 && !channel)
    found.push(problem("outlet-without-channel", "outlets", "There are outlets and no channel: they count nothing."));
  const drained = (amounts?.floorArea ?? 0) > 0 && wallsBy === "membrane" && !channel && part.sumps > 0;
  if (drained)
    found.push(problem("sump-without-channel", "choices.channel", "There is a sump and no channel that leads to it."));
  const left = [
    ...((amounts?.wallArea ?? 0) > 0 && wallsBy === "none" ? ["walls"] : []),
    ...((amounts?.floorArea ?? 0) > 0 && floorBy === "none" ? ["floor"] : []),
  ];
  if (left.length > 0)
    found.push(
      problem(
        "left-as-it-is",
        `choices.${left[0]}By`,
        `The ${left.join(" and the ")} ${left[0] === "walls" || left.length > 1 ? "are" : "is"} left as found: nothing keeps water out there.`,
      ),
    );
  return found;
}

/** Nothing is placed: what is counted follows from areas, lengths and numbers, by the choices that the drawing shows. */
export function layOutWaterproofing(part: Waterproofing, _assembly: Assembly, { context, library }: Site): Layout {
  const choices = waterproofingChoicesOf(part, context.system);
  return {
    pieces: [],
    draw: () => drawWaterproofing(part, context),
    laid: { ...NOTHING_TO_ANSWER, sheetSize: (sizeId) => ownValue(library.sheets, sizeId) },
    choices: slotValues(WATERPROOFING_PARAMETERS, choices),
    reckoned: false,
    repeats: 1,
    words: { name: part.name },
    workingOf: () => undefined,
    problems: told(part, choices),
  };
}
