import { type Assembly, settleParameters, type Value } from "../../../../assemblies";
import type { ComparedCount, Site } from "../../../../layouts";
import { type Problem, problem } from "../../../../problems/problem";
import { ownValue } from "../../../../records/ownValue";
import { areaOf } from "../../../../units";
import { formOf, toMm } from "../../form";
import { bearingRafter, overPlateMm } from "../../heights";
import type { RoofChoices } from "../../parameters";
import { roofQuantities } from "../../quantities";
import type { Roof } from "../../schema";
import { type LaidPanels, layPanels } from "./layPanels";

export type PanelsOfRoof = {
  readonly laid: LaidPanels | undefined;
  readonly compared: readonly ComparedCount[];
  readonly problems: readonly Problem[];
};

export const NO_PANELS: PanelsOfRoof = { laid: undefined, compared: [], problems: [] };

/** The panels of a roof whose assembly sheathes it, as laid out; and how many they are by area. */
export function panelsOf(
  roof: Roof,
  choices: RoofChoices,
  known: ReadonlyMap<string, Value>,
  assembly: Assembly,
  { library, context }: Site,
): PanelsOfRoof {
  const formed = formOf(roof);
  const { settled } = settleParameters(assembly, roof.choices, library.standard, known, library);
  const chosenFor = (name: string) => settled.get(name)?.value ?? known.get(name);
  const sizeId = chosenFor("panel");
  if (!formed.ok || chosenFor("sheathed") !== true || sizeId === undefined) return NO_PANELS;
  const size = ownValue(library.sheets, String(sizeId));
  if (!size) {
    const message = `There is no sheet “${sizeId}” in the library.`;
    return { ...NO_PANELS, problems: [problem("unknown-sheet", "choices.panel", message)] };
  }
  const rafter = bearingRafter(choices, context.sections);
  const spacingNm = choices.framedWith === "trusses" ? choices.trussSpacing : choices.rafterSpacing;
  const laid = layPanels(formed.form, {
    size,
    spacingMm: toMm(spacingNm),
    fromEnd: choices.layoutFrom === "end",
    // Trusses come up to the plane itself; rafters over it, by what their notch leaves.
    overMm: ({ pitch }) =>
      rafter && choices.framedWith === "rafters" ? overPlateMm(rafter, pitch) / Math.hypot(1, pitch) : 0,
  });
  const { deckArea = 0, hips = 0, valleys = 0 } = roofQuantities(roof);
  const waste = Number(chosenFor(hips + valleys > 0 ? "wasteCut" : "wasteStraight"));
  const byArea = Math.ceil((deckArea * (1 + waste / 100)) / areaOf(size.widthNm, size.heightNm) - 1e-9);
  const compared = Number.isFinite(byArea) ? [{ what: "Roof panels", laidOut: laid.bought, byArea }] : [];
  return { laid, compared, problems: [] };
}

/** What formulas ask of panels; nothing laid out is none of them. */
export const panelAnswers =
  (laid: LaidPanels | undefined, role: string) =>
  (name: string, [asked, edge, field]: readonly Value[]): number | undefined => {
    const own = asked === role ? laid : undefined;
    if (name === "sheets") return own?.bought ?? 0;
    if (name === "cover") return own?.coverM2 ?? 0;
    if (name !== "sheetFixings") return undefined;
    const [edgeNm, fieldNm] = [edge, field].map((value) => Math.round(Number(value) * 1e9));
    if (!edgeNm || !fieldNm || !(edgeNm > 0 && fieldNm > 0)) return Number.NaN;
    return own?.fixings(edgeNm, fieldNm) ?? 0;
  };
