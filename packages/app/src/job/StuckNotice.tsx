import { View } from "react-native";
import { Button } from "../components/Button";
import { Notice } from "../components/Notice";
import { Body } from "../components/Text";
import { outbox } from "../sync/outboxInstance";
import { useOutbox } from "./JobContext";

/** A change that waits for a person. Both versions are there until they choose. */
export function StuckNotice() {
  const { stuck } = useOutbox();
  if (!stuck) return null;
  const what = stuck.command.kind === "put-part" ? `“${stuck.command.part.name}”` : "this job";
  if (stuck.reason === "conflict") {
    return (
      <View className="p-3">
        <Notice title={`Someone else changed ${what} meanwhile`} live>
          <Body>Your change is kept on this device. Nothing is overwritten until you choose.</Body>
          <View className="flex-row flex-wrap gap-2">
            <Button label="Keep my version" kind="plain" onPress={() => outbox.settle("mine")} />
            <Button label="Take theirs" kind="plain" onPress={() => outbox.settle("theirs")} />
          </View>
        </Notice>
      </View>
    );
  }
  return (
    <View className="p-3">
      <Notice title={`A change of ${what} could not be saved`} live>
        <Body>{stuck.message}</Body>
        <Button label="Let this change go" kind="plain" onPress={() => outbox.settle("theirs")} />
      </Notice>
    </View>
  );
}
