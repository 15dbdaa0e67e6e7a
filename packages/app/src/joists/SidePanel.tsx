import { alongSide, footprintEdges, formatLength, nameOfFace, type StoreyPlan } from "@wide-porch/core";
import { Picker, type PickerOption } from "../components/Picker";
import { useJob } from "../job/JobContext";
import { useJobLater } from "../job/useJobLater";
import type { JoistPanelProps } from "./changes";

const NONE = "";

type Side = PickerOption & {
  readonly storey: string;
  readonly roomId: string;
  readonly side: string;
  readonly lengthNm: number;
};

/** Every side of the house from outside: `Hall, Wall C`. */
function sidesOf(storeys: readonly StoreyPlan[], say: (nm: number) => string): Side[] {
  return storeys.flatMap((storey) =>
    footprintEdges(storey).flatMap(({ id, roomId, faceId, lengthNm }): Side[] => {
      const placed = storey.rooms.find((each) => each.room.id === roomId);
      if (!placed) return [];
      const { room, outline } = placed;
      const face = outline.faces.find((each) => each.id === faceId);
      const wall = face ? nameOfFace(room, outline.faces, face) : "";
      const names = [room.name, wall].filter((each) => each !== "").join(", ");
      const under = storeys.length > 1 ? `${storey.name}, ${say(lengthNm)}` : say(lengthNm);
      const side = id.slice(roomId.length + 1);
      return [{ value: id, label: names, under, storey: storey.name, roomId, side, lengthNm }];
    }),
  );
}

/** Puts Edge A along a side of the house: it goes along with that side, and is as long where nobody measured it. */
export function SidePanel({ part, onChange }: Pick<JoistPanelProps, "part" | "onChange">) {
  const { plan } = useJobLater("plan");
  const { context } = useJob("context");
  const sides = sidesOf(plan.storeys, (nm) => formatLength(nm, context.system));
  const { follows } = part;
  if (sides.length === 0) return null;
  const choose = (value: string) => {
    const chosen = sides.find((each) => each.value === value);
    onChange((now) =>
      chosen ? alongSide({ ...now, storey: chosen.storey }, chosen) : { ...now, follows: { how: "own" } },
    );
  };
  return (
    <Picker
      label="Edge A lies along a side of the house"
      labelled
      value={follows.how === "side" ? `${follows.roomId}/${follows.side}` : NONE}
      options={[{ value: NONE, label: "Along none" }, ...sides]}
      onChange={choose}
    />
  );
}
