import type { PartCount } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { View } from "react-native";
import { Body, Strong, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";

/** What the wall comes to, said in one line that follows each entry. */
export function LiveCount({ count, partId }: { count: PartCount | undefined; partId: string }) {
  const { record, failure } = useJob();
  if (failure) return <Warning role="alert">{`Counting failed: ${failure}. What you entered is kept.`}</Warning>;
  if (!count || count.lines.length === 0) return <Body>Counted as soon as it has a length.</Body>;
  const of = (word: string) =>
    count.lines
      .filter((line) => line.id.startsWith(`${partId}/${word}/`))
      .reduce((sum, line) => sum + line.quantity, 0);
  const sticks = count.lines.filter((line) => line.trade === "Framing").reduce((sum, line) => sum + line.quantity, 0);
  const sheets = count.lines.find((line) => line.trade === "Sheathing")?.quantity;
  const words = `${of("stud")} studs, ${sticks} pieces in all${sheets === undefined ? "" : `, ${sheets} sheets`}`;
  return (
    <View className="gap-1">
      <View aria-live="polite" role="status" className="flex-row items-baseline justify-between gap-3">
        <Strong testID="live-count">{words}</Strong>
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
