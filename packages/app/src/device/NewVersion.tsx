import { useState, useSyncExternalStore } from "react";
import { View } from "react-native";
import { isNewBuild, subscribeToBuild } from "../api/build";
import { Button } from "../components/Button";
import { Body } from "../components/Text";

/** There is a newer program: parts of this one that are not loaded yet may be gone. What was entered stays through a reload. */
export function NewVersion() {
  const isNew = useSyncExternalStore(subscribeToBuild, isNewBuild, isNewBuild);
  const [later, setLater] = useState(false);
  if (!isNew || later) return null;
  return (
    <View role="status" className="flex-row flex-wrap items-center gap-2 border-b border-pine bg-pine-wash px-4 py-1">
      <Body className="min-w-0 flex-1">There is a new version of Wide Porch.</Body>
      <Button label="Reload" kind="plain" onPress={() => window.location.reload()} />
      <Button label="Later" kind="quiet" name="Reload later" onPress={() => setLater(true)} />
    </View>
  );
}
