import {
  BEARING_WORDS,
  BEARINGS,
  edgeLetter,
  isRoom,
  type Joisted,
  type JoistedPart,
  newJoistEdge,
} from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Folded } from "../components/Folded";
import { Picker } from "../components/Picker";
import { Faint } from "../components/Text";
import { Toggles } from "../components/Toggles";
import { OutlineEdges } from "../ground/OutlineEdges";
import { useJobLater } from "../job/useJobLater";
import { foundNames, type JoistPanelProps } from "./changes";

const AS_HOUSE = "as-house";

type Props = JoistPanelProps & {
  readonly found: Joisted;
  /** Whether what each edge bears on is asked here. */
  readonly bearing: boolean;
};

/** Where it lies: over rooms or the outside of its storey, or walked; and what each of its edges bears on. */
export function OutlinePanel({ part, slots, active, found, bearing, onChange, onFigure }: Props) {
  const nameOf = (id: string) => `Edge ${edgeLetter(part.edges, id)}`;
  return (
    <View className="gap-4">
      <FollowsPanel part={part} onChange={onChange} />
      <OutlineEdges
        edges={part.edges}
        slots={slots.filter(({ path }) => path.endsWith(".length"))}
        active={active}
        nameOf={nameOf}
        fresh={newJoistEdge}
        least={3}
        onChange={(change) => onChange((now) => ({ ...now, follows: { how: "own" }, edges: change(now.edges) }))}
        onFigure={onFigure}
      />
      {bearing ? (
        <Folded title="What its edges bear on" under={borneWords(part, nameOf)}>
          {part.edges.map(({ id, bears }) => (
            <Picker
              key={id}
              label={`${nameOf(id)} bears`}
              value={bears ?? AS_HOUSE}
              options={[
                { value: AS_HOUSE, label: "As chosen for all edges" },
                ...BEARINGS.map((value) => ({ value: value as string, label: BEARING_WORDS[value] })),
              ]}
              onChange={(chosen) =>
                onChange((now) => ({
                  ...now,
                  edges: now.edges.map((edge) =>
                    edge.id === id ? { ...edge, bears: BEARINGS.find((each) => each === chosen) ?? null } : edge,
                  ),
                }))
              }
            />
          ))}
        </Folded>
      ) : null}
      {foundNames(found).map((words) => (
        <Faint key={words}>{`${words}.`}</Faint>
      ))}
    </View>
  );
}

const borneWords = ({ edges }: JoistedPart, nameOf: (id: string) => string): string => {
  const own = edges.filter(({ bears }) => bears !== null).map(({ id }) => nameOf(id));
  return own.length === 0 ? "All as chosen for all edges" : `${own.join(", ")} by themselves`;
};

/** The rooms it goes along with, on its storey. */
function FollowsPanel({ part, onChange }: Pick<JoistPanelProps, "part" | "onChange">) {
  const { parts, plan } = useJobLater("parts", "plan");
  const { follows, storey } = part;
  const rooms = parts.filter(isRoom).filter((room) => room.storey === storey);
  const closed = plan.storeys.find(({ name }) => name === storey)?.rooms.filter(({ polygon }) => polygon) ?? [];
  if (closed.length === 0) return null;
  const chosen = follows.how === "rooms" ? follows.roomIds : [];
  const names = new Map(rooms.map(({ id, name }) => [id, name]));
  const choose = (roomIds: readonly string[]) =>
    onChange((now) => ({
      ...now,
      follows: roomIds.length === 0 ? { how: "own" } : { how: "rooms", roomIds: [...roomIds] },
    }));
  const labelOf = (id: string) => names.get(id) ?? id;
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <Button
          label={follows.how === "outside" ? "It follows the outside of its storey" : "From the outside of its storey"}
          kind={follows.how === "outside" ? "quiet" : "plain"}
          onPress={() => onChange((now) => ({ ...now, follows: { how: "outside" } }))}
        />
        {follows.how === "own" ? null : (
          <Button
            label="Keep it as it is now"
            kind="quiet"
            onPress={() => onChange((now) => ({ ...now, follows: { how: "own" } }))}
          />
        )}
      </View>
      <Toggles
        label="Over these rooms, and with them when they change"
        options={closed.map(({ room }) => labelOf(room.id))}
        chosen={chosen.map(labelOf)}
        onToggle={(name, on) => {
          const id = closed.find(({ room }) => labelOf(room.id) === name)?.room.id;
          if (id !== undefined) choose(on ? [...chosen, id] : chosen.filter((each) => each !== id));
        }}
      />
    </View>
  );
}
