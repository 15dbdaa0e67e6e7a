import type { MasonryWall } from "@wide-porch/core";
import { WallScreen } from "../../wall/WallScreen";
import { masonryLive } from "../liveWords";
import { BothWays } from "./BothWays";

export default function MasonryWallScreen({ part }: { readonly part: MasonryWall }) {
  return (
    <WallScreen part={part} say={masonryLive}>
      <BothWays part={part} />
    </WallScreen>
  );
}
