import { type Href, Redirect, useLocalSearchParams } from "expo-router";

export default function Job() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  return <Redirect href={`/jobs/${jobId}/measure` as Href} />;
}
