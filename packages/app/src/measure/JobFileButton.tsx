import { useState } from "react";
import { View } from "react-native";
import { download } from "../api/client";
import { seesCosts, useSession } from "../api/session";
import { Button } from "../components/Button";
import { Warning } from "../components/Text";
import { FileOutput } from "../icons";
import { useJob } from "../job/JobContext";

/** The whole job as one open file. */
export function JobFileButton() {
  const { record } = useJob("record");
  const session = useSession().data;
  const [failure, setFailure] = useState<string>();
  if (!session || !seesCosts(session)) return null;
  const take = async () => {
    setFailure(undefined);
    try {
      await download(`/jobs/${record.id}/file`, "job.json");
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <View className="items-start">
      <Button label="Download the job as a file" kind="quiet" icon={FileOutput} onPress={() => void take()} />
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}
