import type { FlatRoof } from "@wide-porch/core";
import { JoistedScreen } from "../../joists/JoistedScreen";
import { SidesPanel } from "./SidesPanel";
import { TrimsPanel } from "./TrimsPanel";

/** What has lists of its own beside those of all joists. */
const TRIMS = /^(fascia|drip|soffit|kerb|gutter|upstand|flashing)$/;

export default function FlatRoofScreen({ part }: { readonly part: FlatRoof }) {
  return (
    <JoistedScreen
      part={part}
      elsewhere={TRIMS}
      openingKinds={["hatch", "chimney"]}
      without={["bearing", "supports"]}
      sides={(props) => <SidesPanel {...props} />}
      more={(props) => <TrimsPanel {...props} />}
    />
  );
}
