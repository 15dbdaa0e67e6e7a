import { kindOf, type Part, type PartCount, studWallKind } from "@wide-porch/core";
import { type Href, Link, useRouter } from "expo-router";
import { Pressable, ScrollView, View } from "react-native";
import { Button } from "../components/Button";
import { DrawingCanvas } from "../components/DrawingCanvas";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { Plus } from "../icons";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";
import { JobDetails } from "./JobDetails";
import { JobFileButton } from "./JobFileButton";

/** The parts of the job by storey. */
export function PartsScreen() {
  const { parts, record, context, savePart, reckoning } = useJob();
  const router = useRouter();
  const storeys = [...new Set(parts.map((part) => part.storey))];
  const add = () => {
    const wall = studWallKind.defaults(newId(), `Wall ${parts.length + 1}`, context);
    savePart(wall);
    router.push(`/jobs/${record.id}/measure/${wall.id}?figure=length` as Href);
  };
  return (
    <View className="min-h-0 flex-1">
      <ScrollView className="min-h-0 flex-1" contentContainerClassName="mx-auto w-full max-w-5xl gap-5 p-4 pb-24">
        {parts.length === 0 ? (
          <View className="gap-2 pt-6">
            <Title level={2}>Nothing measured yet</Title>
            <Body>Add a wall, then read its length off the tape. Everything you enter is saved as you go.</Body>
          </View>
        ) : null}
        {storeys.map((storey) => (
          <View key={storey} className="gap-1">
            <Title level={2}>{storey}</Title>
            <View role="list">
              {parts
                .filter((part) => part.storey === storey)
                .map((part) => (
                  <PartRow
                    key={part.id}
                    part={part}
                    count={reckoning?.counts.find((each) => each.partId === part.id)}
                  />
                ))}
            </View>
          </View>
        ))}
        <View className="gap-1">
          <JobDetails />
          <JobFileButton />
        </View>
      </ScrollView>
      <View className="absolute bottom-4 left-0 right-0 items-center px-4">
        <Button label="Add a stud wall" icon={Plus} className="w-full max-w-sm shadow-md" onPress={add} />
      </View>
    </View>
  );
}

function PartRow({ part, count }: { part: Part; count: PartCount | undefined }) {
  const { record, context } = useJob();
  const kind = kindOf(part);
  const measures = kind.measures(part, context);
  const points = kind.openPoints(part, context);
  const missing = points.filter((point) => point.kind !== "assumed").length;
  const assumed = points.length - missing;
  return (
    <View role="listitem">
      <Link href={`/jobs/${record.id}/measure/${part.id}` as Href} asChild>
        <Pressable className="min-h-20 flex-row items-center gap-3 border-b border-rule py-2 active:bg-pine-wash">
          <View className="w-28" aria-hidden>
            <DrawingCanvas
              drawing={count?.drawing ?? kind.draw(part, context)}
              description=""
              heightPx={64}
              showDimensions={false}
            />
          </View>
          <View className="min-w-0 flex-1">
            <Strong>{part.name}</Strong>
            <Faint>
              {[part.location, ...measures.slice(0, 2).map((measure) => measure.text)].filter(Boolean).join(" · ") ||
                kind.label}
            </Faint>
            {missing > 0 ? (
              <Warning>{missing === 1 ? "1 figure missing" : `${missing} figures missing`}</Warning>
            ) : null}
            {missing === 0 && assumed > 0 ? <Faint>{`${assumed} assumed`}</Faint> : null}
          </View>
        </Pressable>
      </Link>
    </View>
  );
}
