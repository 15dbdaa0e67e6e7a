import { ALONE, type Pier } from "@wide-porch/core";
import { View } from "react-native";
import { AnyDrawing } from "../../components/AnyDrawing";
import { Choice } from "../../components/Choice";
import { Title } from "../../components/Text";
import { useLatestCount } from "../../job/JobContext";
import { BothWays } from "../../measure/BothWays";
import { FigureList } from "../../measure/FigureList";
import { PartFrame } from "../../measure/PartFrame";
import { usePartFigures } from "../../measure/usePartFigures";
import { masonryLive } from "../liveWords";

const FILLINGS = [
  { value: false, label: "Solid" },
  { value: true, label: "Hollow, one leaf round" },
] as const;

/** A pier: three figures, and what it is built of. */
export default function PierScreen({ part }: { readonly part: Pier }) {
  const { kind, context, slots, active, show, change, pad } = usePartFigures(part);
  const drawn = useLatestCount(part.id)?.drawing ?? kind.draw(part, context, ALONE);
  return (
    <PartFrame
      part={part}
      drawing={(heightPx) => (
        <AnyDrawing
          drawing={drawn}
          description={`Elevation of ${part.name}`}
          heightPx={heightPx}
          activePath={active}
          onDimension={show}
        />
      )}
      pad={pad}
      built={{ say: masonryLive, onChange: change }}
      measures={kind.measures(part, context, ALONE)}
      underChoices={<BothWays part={part} choice="method" />}
    >
      <FigureList slots={slots} activePath={active} onOpen={show} title="Pier" />
      <View className="gap-3">
        <Title level={2}>Shape</Title>
        <Choice
          label="Filling"
          options={FILLINGS}
          value={part.hollow}
          onChange={(hollow) => change((now) => ("hollow" in now ? { ...now, hollow } : now))}
        />
      </View>
    </PartFrame>
  );
}
