import { isStorey, type OpenPoint, type Part, planPoints } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useMemo, useState } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../components/Button";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Strong, Title } from "../components/Text";
import { CircleQuestionMark } from "../icons";
import { useTokens } from "../theme/useTokens";
import { useJob } from "./JobContext";
import { alikePoints, type PartPoint, type PointGroup, partsText } from "./openPoints";
import { useConfirm } from "./useConfirm";
import { useJobLater } from "./useJobLater";

type Listed = { readonly partId: string; readonly partName: string; readonly points: readonly OpenPoint[] };

type Open = {
  /** Missing, refused, at odds: each is settled by itself, at its part. */
  readonly parts: readonly Listed[];
  readonly assumed: readonly PointGroup[];
  readonly warnings: readonly string[];
  /** Not known before the job is reckoned. */
  readonly total: number | undefined;
};

function useOpenPoints(): Open {
  const { reckoning, parts: entered, plan, context } = useJobLater("reckoning", "parts", "plan", "context");
  const onPlan = useMemo(() => planPoints(entered, plan, context), [entered, plan, context]);
  return useMemo(() => {
    const all = (reckoning?.counts ?? []).map(({ partId, partName, openPoints }) => {
      const own = onPlan.filter((each) => each.partId === partId).map((each) => each.point);
      // A wall that waits for the plan says why in the plan's words.
      const paths = new Set(own.map((point) => point.path));
      return { partId, partName, points: [...own, ...openPoints.filter((point) => !paths.has(point.path))] };
    });
    const parts = all
      .map((each) => ({ ...each, points: each.points.filter((point) => point.kind !== "assumed") }))
      .filter((each) => each.points.length > 0);
    const ofParts = all.flatMap(({ points, ...part }) =>
      points.filter((point) => point.kind === "assumed").map((point): PartPoint => ({ ...part, point })),
    );
    const assumed = alikePoints(ofParts, (id) => entered.find((part) => part.id === id));
    // What keeps a part or a rule from being counted is said at its part already.
    const said = new Set(all.flatMap((each) => each.points.map((point) => point.message)));
    const fromCounts = (reckoning?.counts ?? []).flatMap((count) => count.problems.map((each) => each.message));
    const fromOrder = reckoning?.buildUp?.problems ?? reckoning?.order.problems ?? [];
    const warnings = [...new Set([...fromCounts, ...fromOrder.map((each) => each.message)])].filter(
      (message) => !said.has(message),
    );
    const listed = warnings.length + assumed.length + parts.reduce((sum, each) => sum + each.points.length, 0);
    return { parts, assumed, warnings, total: reckoning && listed };
  }, [reckoning, onPlan, entered]);
}

/** A quiet count in the header; it opens the list of what is missing or assumed. */
export function OpenPointsMark() {
  const [open, setOpen] = useState(false);
  const { colour } = useTokens();
  const { total } = useOpenPoints();
  if (total === undefined) return null;
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
  const onPlan = (part !== undefined && isStorey(part)) || path === "place" || path.startsWith("overlap/");
  const measure = `/jobs/${jobId}/measure`;
  if (part && onPlan) return `${measure}/plan?storey=${encodeURIComponent(part.storey)}` as Href;
  return `${measure}/${partId}?figure=${encodeURIComponent(path)}` as Href;
}

function OpenPointsList({ onGo }: { onGo: () => void }) {
  const router = useRouter();
  const { record, parts: entered } = useJob("record", "parts");
  const { parts, assumed, warnings, total } = useOpenPoints();
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
              <Strong className="text-sm text-pine">Settle</Strong>
            </Pressable>
          ))}
        </View>
      ))}
      <Assumed groups={assumed} go={go} />
    </>
  );
}

type Go = (partId: string, path: string) => void;

/** What is assumed, alike points of many parts together: confirmed one by one, or all with one press. */
function Assumed({ groups, go }: { readonly groups: readonly PointGroup[]; readonly go: Go }) {
  const confirm = useConfirm();
  if (groups.length === 0) return null;
  const all = groups.filter((group) => group.confirmable).flatMap((group) => group.points);
  return (
    <View className="gap-1">
      <View className="flex-row items-center justify-between gap-2">
        <Title level={2}>Assumed</Title>
        {all.length > 1 ? (
          <Button
            label={`Confirm all ${all.length}`}
            name={`Confirm all ${all.length} that are assumed`}
            kind="plain"
            onPress={() => confirm(all)}
          />
        ) : null}
      </View>
      {groups.map((group) => (
        <AssumedRow key={group.message} group={group} go={go} onConfirm={() => confirm(group.points)} />
      ))}
    </View>
  );
}

type RowProps = { readonly group: PointGroup; readonly go: Go; readonly onConfirm: () => void };

function AssumedRow({ group: { message, points, confirmable }, go, onConfirm }: RowProps) {
  const [open, setOpen] = useState(false);
  const [first] = points;
  if (!first) return null;
  const many = points.length > 1;
  const show = () => (many ? setOpen(!open) : go(first.partId, first.point.path));
  return (
    <View className="border-b border-rule">
      <View className="flex-row items-center gap-2">
        <Pressable
          role="button"
          aria-label={`${message}, ${partsText(points)}: ${many ? "show where" : "go there"}`}
          aria-expanded={many ? open : undefined}
          onPress={show}
          className="min-h-12 min-w-0 flex-1 justify-center py-1 active:bg-pine-wash"
        >
          <Body>{message}</Body>
          <Faint>{partsText(points)}</Faint>
        </Pressable>
        {confirmable ? (
          <Button label="Confirm" name={`Confirm: ${message}, ${partsText(points)}`} kind="quiet" onPress={onConfirm} />
        ) : null}
      </View>
      {open
        ? points.map(({ partId, partName, point }) => (
            <Pressable
              key={`${partId} ${point.path}`}
              role="link"
              onPress={() => go(partId, point.path)}
              className="min-h-12 justify-center pl-4 active:bg-pine-wash"
            >
              <Body>{`${partName}: ${point.message}`}</Body>
            </Pressable>
          ))
        : null}
    </View>
  );
}
