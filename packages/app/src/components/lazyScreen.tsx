import { type ComponentType, lazy, Suspense } from "react";
import { View } from "react-native";
import { Waiting } from "./Waiting";

/** A screen that is loaded when it is first opened: what a builder on site seldom needs stays out of the first load. */
export function lazyScreen<M extends Record<string, unknown>>(
  load: () => Promise<M>,
  pick: (module: M) => ComponentType,
): ComponentType {
  const Screen = lazy(() => load().then((module) => ({ default: pick(module) })));
  return function LazyScreen() {
    return (
      <Suspense
        fallback={
          <View className="p-6">
            <Waiting what="this page" />
          </View>
        }
      >
        <Screen />
      </Suspense>
    );
  };
}
