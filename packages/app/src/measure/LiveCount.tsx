import type { PartCount } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { View } from "react-native";
import { Body, Faint, Strong, Warning } from "../components/Text";
import { useJob, useLatestCount } from "../job/JobContext";

type Props = {
  readonly partId: string;
  /** What it comes to, in one line. */
  readonly say: (count: PartCount) => string;
};

/** What the part comes to, said in one line that follows each entry. */
export function LiveCount({ partId, say }: Props) {
  const { record, failure } = useJob("record", "failure");
  const count = useLatestCount(partId);
  if (failure) return <Warning role="alert">{`Counting failed: ${failure}. What you entered is kept.`}</Warning>;
  if (!count) return <Faint role="status">Being counted</Faint>;
  if (count.waits) return <Body>Counted as soon as what is missing is measured.</Body>;
  if (count.lines.length === 0 && count.problems.length === 0)
    return <Body>Nothing is counted of it as it is built.</Body>;
  return (
    <View className="gap-1">
      <View aria-live="polite" role="status" className="flex-row items-baseline justify-between gap-3">
        <Strong testID="live-count">{say(count)}</Strong>
        <Link href={`/jobs/${record.id}/count` as Href}>
          <Strong className="text-pine underline">Count</Strong>
        </Link>
      </View>
      {count.problems.map((problem) => (
        <Warning key={`${problem.code}${problem.path}`}>{problem.message}</Warning>
      ))}
    </View>
  );
}
