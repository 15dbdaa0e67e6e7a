import { type PointGroup, partsText } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../components/Button";
import { Body, Faint, Strong, Title } from "../components/Text";
import { hrefOfPoint } from "./hrefOfPoint";
import { useJob } from "./JobContext";
import { useConfirm } from "./useConfirm";
import { useOpenPoints } from "./useOpenPoints";

/** What is missing or assumed, with a way to settle each. */
export function OpenPointsList({ onGo }: { onGo: () => void }) {
  const router = useRouter();
  const { record, parts: entered } = useJob("record", "parts");
  const { parts, assumed, warnings, total } = useOpenPoints();
  if (total === 0) return <Body>Nothing is missing and nothing is assumed.</Body>;
  const go = (partId: string, path: string) => {
    onGo();
    router.push(hrefOfPoint(record.id, entered, partId, path));
  };
  return (
    <>
      <Faint>Nothing here stops you. The quote says how many figures are still assumed.</Faint>
      {record.job.pricing === null ? null : (
        <Button
          label="In order of money"
          kind="plain"
          onPress={() => {
            onGo();
            router.push(`/jobs/${record.id}/price/open` as Href);
          }}
        />
      )}
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
  const confirmable = groups.filter((group) => group.confirmable);
  return (
    <View className="gap-1">
      <View className="flex-row items-center justify-between gap-2">
        <Title level={2}>Assumed</Title>
        {confirmable.length > 1 ? (
          <Button
            label={`Confirm all ${confirmable.length}`}
            name={`Confirm all ${confirmable.length} that are assumed`}
            kind="plain"
            onPress={() => confirm(confirmable.flatMap((group) => group.points))}
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
