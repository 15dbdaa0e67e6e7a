import { MOST_SPOTS, type SpotsPart } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { CommitField } from "../../components/CommitField";
import { Figure, Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import { PartFrame } from "../../measure/PartFrame";
import { usePartFigures } from "../../measure/usePartFigures";

/** Things counted on a walk round: press once for each, or type how many. */
export default function SpotsScreen({ part }: { readonly part: SpotsPart }) {
  const { savePart } = useJob("savePart");
  const { slots, active, show, pad } = usePartFigures(part);
  const count = part.count ?? 0;
  const set = (next: number) => savePart({ ...part, count: Math.min(MOST_SPOTS, Math.max(0, next)) });
  return (
    <PartFrame part={part} pad={pad}>
      <View className="gap-3">
        <Title level={2}>Count</Title>
        <CommitField
          label="What is counted"
          value={part.what}
          check={(text) => (text === "" ? "Say what is counted: post, socket, hold-down." : undefined)}
          onCommit={(what) => savePart({ ...part, what: what.slice(0, 80) })}
        />
        <View className="flex-row items-center gap-3">
          <Button label="One less" kind="plain" disabled={count === 0} onPress={() => set(count - 1)} />
          <Figure aria-live="polite" role="status" className="min-w-16 text-center text-3xl leading-10">
            {part.count === null ? "?" : String(part.count)}
          </Figure>
          <Button label="One more" className="flex-1" onPress={() => set(count + 1)} />
        </View>
        <FigureList slots={slots} activePath={active} onOpen={show} title="Count" />
      </View>
    </PartFrame>
  );
}
