import type { MasonryWall } from "@wide-porch/core";
import { BothWays } from "../../measure/BothWays";
import { WallScreen } from "../../wall/WallScreen";
import { masonryLive } from "../liveWords";

export default function MasonryWallScreen({ part }: { readonly part: MasonryWall }) {
  return (
    <WallScreen part={part} say={masonryLive}>
      <BothWays part={part} choice="method" />
    </WallScreen>
  );
}
