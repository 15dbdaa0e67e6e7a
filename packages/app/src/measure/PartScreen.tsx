import type { Part } from "@wide-porch/core";
import { useLocalSearchParams } from "expo-router";
import type { ComponentType } from "react";
import { View } from "react-native";
import { Body, Title } from "../components/Text";
import { useLivePart } from "../job/JobContext";
import { RoomScreen } from "../room/RoomScreen";
import { LoosePartScreen } from "./LoosePartScreen";
import { SpotsScreen } from "./SpotsScreen";
import { WallScreen } from "./WallScreen";
import { WallTotalsScreen } from "./WallTotalsScreen";

type Screens = { readonly [K in Part["kind"]]: ComponentType<{ readonly part: Extract<Part, { kind: K }> }> };

/** Every kind of part and its screen. */
const SCREENS: Screens = {
  room: RoomScreen,
  "stud-wall": WallScreen,
  length: LoosePartScreen,
  area: LoosePartScreen,
  spots: SpotsScreen,
  storey: LoosePartScreen,
  "wall-totals": WallTotalsScreen,
};

export function PartScreen() {
  const { partId = "" } = useLocalSearchParams<{ partId: string }>();
  const part = useLivePart(partId);
  if (!part) {
    return (
      <View className="p-6">
        <Title level={2}>This part is not in the job</Title>
        <Body>It may have been put in the bin. Undo takes it out again.</Body>
      </View>
    );
  }
  // The registry is keyed by the literal that `part.kind` is; the compiler cannot follow that through a union.
  const Screen = SCREENS[part.kind] as ComponentType<{ readonly part: Part }>;
  return <Screen key={part.id} part={part} />;
}
