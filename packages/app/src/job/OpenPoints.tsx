import type { OpenPoint } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Strong, Title } from "../components/Text";
import { CircleQuestionMark } from "../icons";
import { useTokens } from "../theme/useTokens";
import { useJob } from "./JobContext";

type Listed = { readonly partId: string; readonly partName: string; readonly points: readonly OpenPoint[] };

function useOpenPoints(): { parts: Listed[]; warnings: string[]; total: number } {
  const { reckoning } = useJob();
  const parts = (reckoning?.counts ?? [])
    .map((count) => ({ partId: count.partId, partName: count.partName, points: count.openPoints }))
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

function OpenPointsList({ onGo }: { onGo: () => void }) {
  const router = useRouter();
  const { record } = useJob();
  const { parts, warnings, total } = useOpenPoints();
  if (total === 0) return <Body>Nothing is missing and nothing is assumed.</Body>;
  const go = (partId: string, path: string) => {
    onGo();
    router.push(`/jobs/${record.id}/measure/${partId}?figure=${encodeURIComponent(path)}` as Href);
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
              key={point.path}
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
