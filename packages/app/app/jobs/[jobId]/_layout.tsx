import { Slot, useLocalSearchParams } from "expo-router";
import { View } from "react-native";
import { ApiProblem } from "../../../src/api/client";
import { Pending } from "../../../src/components/Waiting";
import { JobProvider } from "../../../src/job/JobContext";
import { JobFrame } from "../../../src/job/JobFrame";
import { NoSuchJob } from "../../../src/job/NoSuchJob";

export default function JobLayout() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  return (
    <JobProvider
      key={jobId}
      jobId={jobId}
      fallback={(error, retry) => (
        <View role="main" className="flex-1">
          {error instanceof ApiProblem && error.status === 404 ? (
            <NoSuchJob />
          ) : (
            <Pending error={error} what="the job" retry={retry} />
          )}
        </View>
      )}
    >
      <JobFrame>
        <Slot />
      </JobFrame>
    </JobProvider>
  );
}
