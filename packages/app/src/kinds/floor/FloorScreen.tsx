import type { Floor } from "@wide-porch/core";
import { JoistedScreen } from "../../joists/JoistedScreen";

export default function FloorScreen({ part }: { readonly part: Floor }) {
  return <JoistedScreen part={part} />;
}
