import { FIRST_STOREY, type Part } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { lazy, memo, Suspense, useState } from "react";
import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { CommitField } from "../components/CommitField";
import { Faint, Title } from "../components/Text";
import { History, Pencil, Trash2 } from "../icons";
import { useJob } from "../job/JobContext";

const HistorySheet = lazy(() => import("../job/HistorySheet").then((sheet) => ({ default: sheet.HistorySheet })));

type Props = { readonly part: Part };

/** What a part is called and where it is, its history, and the way to the bin. */
export const PartName = memo(function PartName({ part }: Props) {
  const { changePart, binPart, jobId } = useJob("changePart", "binPart", "jobId");
  const change = (named: Partial<Pick<Part, "name" | "storey" | "location">>) =>
    changePart(part.id, (now) => ({ ...now, ...named }));
  const router = useRouter();
  const [editing, setEditing] = useState(false);
  const [history, setHistory] = useState(false);
  const bin = () => {
    binPart(part.id);
    router.replace(`/jobs/${jobId}/measure` as Href);
  };
  if (!editing) {
    return (
      <View className="flex-row items-center">
        <View className="min-w-0 flex-1">
          <Title level={2}>{part.name}</Title>
          <Faint>
            {[part.storey, part.name.startsWith(part.location) ? "" : part.location].filter(Boolean).join(", ")}
          </Faint>
        </View>
        <IconButton name="History" icon={History} onPress={() => setHistory(true)} />
        {history ? (
          <Suspense fallback={null}>
            <HistorySheet part={part} onClose={() => setHistory(false)} />
          </Suspense>
        ) : null}
        <IconButton name="Name, storey and location" icon={Pencil} onPress={() => setEditing(true)} />
      </View>
    );
  }
  return (
    <View className="gap-3">
      <CommitField
        label="Name"
        value={part.name}
        check={(text) => (text === "" ? "It needs a name." : text.length > 120 ? "At most 120 letters." : undefined)}
        onCommit={(name) => change({ name })}
      />
      <CommitField
        label="Storey"
        value={part.storey}
        onCommit={(storey) => change({ storey: storey.slice(0, 80) || FIRST_STOREY })}
      />
      <CommitField
        label="Location"
        value={part.location}
        onCommit={(location) => change({ location: location.slice(0, 120) })}
      />
      <View className="flex-row justify-between">
        <Button label={`Put “${part.name.slice(0, 24)}” in the bin`} kind="quiet" icon={Trash2} onPress={bin} />
        <Button label="Done" kind="plain" onPress={() => setEditing(false)} />
      </View>
    </View>
  );
}, sameName);

/** Other figures of the part are nothing to it. */
function sameName({ part: a }: Props, { part: b }: Props): boolean {
  return a.id === b.id && a.name === b.name && a.storey === b.storey && a.location === b.location;
}
