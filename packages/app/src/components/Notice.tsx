import type { PropsWithChildren } from "react";
import { View } from "react-native";
import { Body, Strong } from "./Text";

type Props = PropsWithChildren<{ readonly title: string; readonly tone?: "clay" | "pine"; readonly live?: boolean }>;

/** Something to know or to do, where it stands. A bar at the side says as much as the colour. */
export function Notice({ title, tone = "clay", live = false, children }: Props) {
  const look = tone === "clay" ? "border-clay bg-clay-wash" : "border-pine bg-pine-wash";
  return (
    <View role={live ? "alert" : "note"} className={`gap-2 rounded-r-md border-l-4 p-3 ${look}`}>
      <Strong>{title}</Strong>
      {typeof children === "string" ? <Body>{children}</Body> : children}
    </View>
  );
}
