import { type PropsWithChildren, Suspense } from "react";
import { View } from "react-native";
import { Waiting } from "./Waiting";

/** Stands in for a screen that is loaded when it is first opened. */
export function LoadedPage({ children }: PropsWithChildren) {
  return (
    <Suspense
      fallback={
        <View className="p-6">
          <Waiting what="this page" />
        </View>
      }
    >
      {children}
    </Suspense>
  );
}
