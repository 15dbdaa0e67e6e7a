import type { PartContext } from "../../parts/partKind";
import type { RoofTimbers } from "../roof-timbers";
import type { RoofTotals } from "../roof-totals";
import type { Roof } from "./schema";
import { newRoof } from "./starts";

/** A roof to be drawn for one that is known by totals or by its timbers: named and built alike, with the pitch and plate that are known. */
export function roofInPlaceOf(listed: RoofTotals | RoofTimbers, id: string, context: PartContext): Roof {
  const { name, storey, location, pitch, assembly, choices } = listed;
  const fresh = newRoof(id, `${name}, drawn`.slice(0, 120), context);
  return {
    ...fresh,
    storey,
    location,
    assembly,
    choices,
    pitch: pitch.value === null ? fresh.pitch : pitch,
    plate: "plate" in listed && listed.plate.valueNm !== null ? listed.plate : fresh.plate,
  };
}
