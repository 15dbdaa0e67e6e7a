import type { Part } from "@wide-porch/core";
import { useLocalSearchParams } from "expo-router";
import { type ComponentType, Suspense } from "react";
import { View } from "react-native";
import { Body, Title } from "../components/Text";
import { Waiting } from "../components/Waiting";
import { useLivePart } from "../job/JobContext";
import { faceOf } from "../kinds/registry";

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
  const Screen: ComponentType<{ readonly part: Part }> = faceOf(part).Screen;
  return (
    <Suspense fallback={<Waiting what="the part" />}>
      <Screen key={part.id} part={part} />
    </Suspense>
  );
}
