import {
  formatLength,
  isRoof,
  type MeasuringSystem,
  type Roof,
  roofEdgeName,
  withBeside,
  withMeeting,
  withoutBeside,
} from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../../components/Choice";
import { Picker } from "../../components/Picker";
import { Faint, Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import type { PanelProps } from "./panelProps";

const CUT = [
  { value: true, label: "Cut where it meets them" },
  { value: false, label: "By itself" },
] as const;

const ALONE = "";

/** Where a roof lies among the others of the job, and whether they cut each other. */
export function MeetingPanel({ roof, slots, active, onChange, onFigure }: PanelProps) {
  const { parts, context } = useJob("parts", "context");
  const others = parts.filter(isRoof).filter(({ id }) => id !== roof.id);
  const { beside } = roof;
  const hosts = others.flatMap((other) => edgeOptions(other, context.system, `${other.name}, `, `${other.id}/`));
  const own = edgeOptions(roof, context.system);
  const place = (value: string, ownEdgeId: string) => {
    const [roofId, theirEdgeId] = value.split("/");
    if (!roofId || !theirEdgeId) return onChange(withoutBeside);
    return onChange((now) => withBeside(now, { roofId, theirEdgeId, ownEdgeId }));
  };
  const host = beside ? `${beside.roofId}/${beside.theirEdgeId}` : ALONE;
  const firstOwn = roof.edges.find(({ end }) => end === "roof" || end === "wall") ?? roof.edges[0];
  return (
    <View className="gap-2">
      <Title level={2}>Among other roofs</Title>
      <Choice
        label="Other roofs, and rooms of a storey above"
        options={CUT}
        value={roof.meetsOthers}
        onChange={(meets) => onChange((now) => withMeeting(now, meets))}
      />
      <Faint>
        Where two meet, the lower one ends. Let an edge run into another roof to carry it on into that roof's slope.
      </Faint>
      {others.length > 0 ? (
        <>
          <Faint>Lies along</Faint>
          <Picker
            label="Lies along"
            options={[{ value: ALONE, label: "No edge of another roof" }, ...hosts]}
            value={host}
            onChange={(value) => place(value, beside?.ownEdgeId ?? firstOwn?.id ?? "")}
          />
        </>
      ) : null}
      {beside ? (
        <>
          <Faint>With its own edge</Faint>
          <Picker
            label="With its own edge"
            options={own}
            value={beside.ownEdgeId}
            onChange={(edgeId) => place(host, edgeId)}
          />
          <FigureList
            slots={slots.filter(({ path }) => path.startsWith("beside."))}
            activePath={active}
            onOpen={onFigure}
            title="Where along it"
          />
        </>
      ) : null}
    </View>
  );
}

const edgeOptions = (roof: Roof, system: MeasuringSystem, before = "", idBefore = "") =>
  roof.edges.map(({ id, length }) => ({
    value: `${idBefore}${id}`,
    label: `${before}${roofEdgeName(roof, id)}`,
    under: length.valueNm === null ? "Not measured yet" : formatLength(length.valueNm, system),
  }));
