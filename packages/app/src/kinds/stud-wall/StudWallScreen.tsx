import type { StudWall } from "@wide-porch/core";
import { WallScreen } from "../../wall/WallScreen";
import { framedWords } from "../liveWords";

export default function StudWallScreen({ part }: { readonly part: StudWall }) {
  return <WallScreen part={part} say={framedWords} />;
}
