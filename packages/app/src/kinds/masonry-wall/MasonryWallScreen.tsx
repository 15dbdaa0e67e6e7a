import type { MasonryWall } from "@wide-porch/core";
import { WallScreen } from "../../wall/WallScreen";
import { BothWays } from "./BothWays";

export default function MasonryWallScreen({ part }: { readonly part: MasonryWall }) {
  return (
    <WallScreen part={part}>
      <BothWays part={part} />
    </WallScreen>
  );
}
