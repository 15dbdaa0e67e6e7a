import type { StudWall } from "@wide-porch/core";
import { WallScreen } from "../../wall/WallScreen";

export default function StudWallScreen({ part }: { readonly part: StudWall }) {
  return <WallScreen part={part} />;
}
