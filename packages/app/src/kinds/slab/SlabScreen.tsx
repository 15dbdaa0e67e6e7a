import type { Slab } from "@wide-porch/core";
import { PlateScreen } from "../../ground/PlateScreen";

const FORMS = ["plain", "beam"] as const;

export default function SlabScreen({ part }: { readonly part: Slab }) {
  return <PlateScreen part={part} forms={FORMS} ribbed={false} />;
}
