import { type OpenPoint, type Part, planPoints } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useMemo, useState } from "react";
import { Pressable, View } from "react-native";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Strong, Title } from "../components/Text";
import { CircleQuestionMark } from "../icons";
import { useTokens } from "../theme/useTokens";
import { useJob } from "./JobContext";

type Listed = { readonly partId: string; readonly partName: string; readonly points: readonly OpenPoint[] };

function useOpenPoints(): { parts: Listed[]; warnings: string[]; total: number } {
  const { reckoning, parts: entered, plan, context } = useJob();
  const onPlan = useMemo(() => planPoints(entered, plan, context), [entered, plan, context]);
  const parts = (reckoning?.counts ?? [])
    .map(({ partId, partName, openPoints }) => {
      const own = onPlan.filter((each) => each.partId === partId).map((each) => each.point);
      // A wall that waits for the plan says why in the plan's words.
      const paths = new Set(own.map((point) => point.path));
      return { partId, partName, points: [...own, ...openPoints.filter((point) => !paths.has(point.path))] };
    })
    .filter((each) => each.points.length > 0);
  const fromCounts = (reckoning?.counts ?? []).flatMap((count) => count.problems.map((each) => each.message));
  const fromOrder = reckoning?.buildUp?.problems ?? reckoning?.order.problems ?? [];
  const warnings = [...fromCounts, ...fromOrder.map((each) => each.message)];
  return { parts, warnings, total: warnings.length + parts.reduce((sum, each) => sum + each.points.length, 0) };
}

/** A quiet count in the header; it opens the list of what is missing or assumed. */
export function OpenPointsMark() {
  const [open, setOpen] = useState(false);
  const { colour } = useTokens();
  const { total } = useOpenPoints();
  const words = total === 1 ? "1 open point" : `${total} open points`;
  return (
    <View>
      <Pressable
        role="button"
        aria-label={words}
        onPress={() => setOpen(true)}
        className="min-h-9 flex-row items-center gap-1 px-2"
      >
        <CircleQuestionMark size={16} color={colour(total > 0 ? "clay" : "faint")} aria-hidden />
        <Strong className={`text-sm ${total > 0 ? "text-clay" : "text-faint"}`}>{words}</Strong>
      </Pressable>
      <Sheet open={open} onClose={() => setOpen(false)} title="Open points">
        <OpenPointsList onGo={() => setOpen(false)} />
      </Sheet>
    </View>
  );
}

/** Where a point is settled: at its figure, on its part, or on the plan. */
function hrefOf(jobId: string, parts: readonly Part[], partId: string, path: string): Href {
  const part = parts.find((each) => each.id === partId);
  const onPlan = part?.kind === "storey" || path === "place" || path.startsWith("overlap/");
  const measure = `/jobs/${jobId}/measure`;
  if (part && onPlan) return `${measure}/plan?storey=${encodeURIComponent(part.storey)}` as Href;
  return `${measure}/${partId}?figure=${encodeURIComponent(path)}` as Href;
}

function OpenPointsList({ onGo }: { onGo: () => void }) {
  const router = useRouter();
  const { record, parts: entered } = useJob();
  const { parts, warnings, total } = useOpenPoints();
  if (total === 0) return <Body>Nothing is missing and nothing is assumed.</Body>;
  const go = (partId: string, path: string) => {
    onGo();
    router.push(hrefOf(record.id, entered, partId, path));
  };
  return (
    <>
      <Faint>Nothing here stops you. The quote says how many figures are still assumed.</Faint>
      {warnings.length > 0 ? (
        <View className="gap-1">
          <Title level={2}>To look into</Title>
          {warnings.map((message) => (
            <Body key={message}>{message}</Body>
          ))}
        </View>
      ) : null}
      {parts.map((part) => (
        <View key={part.partId} className="gap-1">
          <Title level={2}>{part.partName}</Title>
          {part.points.map((point) => (
            <Pressable
              key={point.path + point.message}
              role="button"
              onPress={() => go(part.partId, point.path)}
              className="min-h-12 flex-row items-center justify-between gap-3 border-b border-rule active:bg-pine-wash"
            >
              <Body className="flex-1">{point.message}</Body>
              <Strong className="text-sm text-pine">{point.kind === "assumed" ? "Confirm" : "Settle"}</Strong>
            </Pressable>
          ))}
        </View>
      ))}
    </>
  );
}
