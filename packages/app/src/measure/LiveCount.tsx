import type { PartCount } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { View } from "react-native";
import { Body, Strong, Warning } from "../components/Text";
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
  if (!count || count.lines.length === 0) return <Body>Counted as soon as it has a length.</Body>;
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
