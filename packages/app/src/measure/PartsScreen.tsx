import {
  drawStorey,
  isStorey,
  isWallPart,
  kindOf,
  type Part,
  type PartCount,
  plural,
  type StoreyPlan,
  surroundingsOf,
} from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { memo, useMemo, useState } from "react";
import { Pressable, ScrollView, View } from "react-native";
import { BuiltLink } from "../assembly/BuiltLink";
import { AnyDrawing } from "../components/AnyDrawing";
import { Button } from "../components/Button";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { Plus } from "../icons";
import { useJob } from "../job/JobContext";
import { PlanCanvas } from "../plan/PlanCanvas";
import { AddSheet } from "./AddSheet";
import { JobDetails } from "./JobDetails";
import { JobFileButton } from "./JobFileButton";

/** The parts of the job by storey, each storey with its plan. */
export function PartsScreen() {
  const { parts, plan } = useJob("parts", "plan");
  const [adding, setAdding] = useState(false);
  return (
    <View className="min-h-0 flex-1">
      <ScrollView className="min-h-0 flex-1" contentContainerClassName="mx-auto w-full max-w-5xl gap-6 p-4 pb-24">
        {parts.length === 0 ? (
          <View className="gap-2 pt-6">
            <Title level={2}>Nothing measured yet</Title>
            <Body>
              Add a room and walk it with the tape, or a wall by itself. Everything you enter is saved as you go.
            </Body>
          </View>
        ) : null}
        {plan.storeys.map((storey) => (
          <Storey key={storey.name} storey={storey} />
        ))}
        <UnknownParts />
        <View className="gap-1">
          <JobDetails />
          <JobFileButton />
          <BuiltLink />
          <Link href={"/meter" as Href} target="_blank">
            <Strong className="text-sm text-pine underline">Open the simulated distance meter</Strong>
          </Link>
        </View>
      </ScrollView>
      <View className="absolute bottom-4 left-0 right-0 items-center px-4">
        <Button label="Add a part" icon={Plus} className="w-full max-w-sm shadow-md" onPress={() => setAdding(true)} />
      </View>
      {adding ? <AddSheet onClose={() => setAdding(false)} /> : null}
    </View>
  );
}

/** Parts of a newer version: nothing of them is counted, and nothing is lost. */
function UnknownParts() {
  const { unknownParts } = useJob("unknownParts");
  if (unknownParts.length === 0) return null;
  return (
    <View className="gap-1">
      <Title level={2}>Not known to this version</Title>
      <Faint>Kept as they are, and not counted here. Reload the page for the newest version.</Faint>
      <View role="list">
        {unknownParts.map((part) => (
          <View key={part.id} role="listitem" className="border-b border-rule py-2">
            <Strong>{part.name || "A part without a name"}</Strong>
            <Faint>{part.why}</Faint>
          </View>
        ))}
      </View>
    </View>
  );
}

function Storey({ storey }: { readonly storey: StoreyPlan }) {
  const { resolved, reckoning } = useJob("resolved", "reckoning");
  const parts = useMemo(
    () =>
      resolved
        .filter((part) => part.storey === storey.name && !isStorey(part))
        .toSorted((a, b) => kindOf(a).order - kindOf(b).order),
    [resolved, storey.name],
  );
  return (
    <View className="gap-1">
      <Title level={2}>{storey.name}</Title>
      {storey.rooms.length > 0 ? <StoreyPicture storey={storey} /> : null}
      <View role="list">
        {parts.map((part) => (
          <PartRow key={part.id} part={part} count={reckoning?.counts.find((each) => each.partId === part.id)} />
        ))}
      </View>
    </View>
  );
}

function StoreyPicture({ storey }: { readonly storey: StoreyPlan }) {
  const { parts, plan, context, jobId } = useJob("parts", "plan", "context", "jobId");
  const drawing = useMemo(() => {
    const walls = parts.filter(isWallPart);
    return drawStorey(storey, walls, plan, context);
  }, [parts, plan, storey, context]);
  return (
    <Link href={`/jobs/${jobId}/measure/plan?storey=${encodeURIComponent(storey.name)}` as Href} asChild>
      <Pressable aria-label={`Plan of ${storey.name}`} className="border-b border-rule pb-1 active:bg-pine-wash">
        <PlanCanvas
          drawing={drawing}
          description={`Plan of ${storey.name}, ${storey.rooms.length} rooms`}
          heightPx={240}
        />
        <Strong className="text-right text-sm text-pine underline">Open the plan</Strong>
      </Pressable>
    </Link>
  );
}

/** The place of a part, where its name does not begin with it. */
const saidOnce = ({ location, name }: Part): string =>
  name.toLowerCase().startsWith(location.toLowerCase()) ? "" : location;

type RowProps = { readonly part: Part; readonly count: PartCount | undefined };

const PartRow = memo(function PartRow({ part, count }: RowProps) {
  const { jobId, context, plan } = useJob("jobId", "context", "plan");
  const kind = kindOf(part);
  const around = surroundingsOf(plan, part.id);
  const measures = kind.measures(part, context, around);
  // By the choices that it is counted by, as soon as it has been counted.
  const points = count?.openPoints ?? kind.openPoints(part, context);
  const missing = points.filter((point) => point.kind === "missing").length;
  const assumed = points.filter((point) => point.kind === "assumed").length;
  const wrong = points.length - missing - assumed;
  const drawn = count?.drawing.kind === "elevation" ? count.drawing : kind.draw(part, context, around);
  return (
    <View role="listitem">
      <Link href={`/jobs/${jobId}/measure/${part.id}` as Href} asChild>
        <Pressable className="min-h-16 flex-row items-center gap-3 border-b border-rule py-2 active:bg-pine-wash">
          <View className="w-24" aria-hidden>
            <AnyDrawing drawing={drawn} description="" heightPx={60} showFigures={false} />
          </View>
          <View className="min-w-0 flex-1">
            <Strong>{part.name}</Strong>
            <Faint>
              {[saidOnce(part), ...measures.slice(0, 2).map((measure) => measure.text)].filter(Boolean).join(" · ") ||
                kind.label}
            </Faint>
            {missing > 0 ? (
              <Warning>{plural(missing, "1 figure missing", `${missing} figures missing`)}</Warning>
            ) : null}
            {wrong > 0 ? (
              <Warning>{plural(wrong, "1 thing to look into", `${wrong} things to look into`)}</Warning>
            ) : null}
            {missing + wrong === 0 && assumed > 0 ? <Faint>{`${assumed} assumed`}</Faint> : null}
          </View>
        </Pressable>
      </Link>
    </View>
  );
});
