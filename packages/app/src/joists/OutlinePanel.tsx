import {
  BEARING_WORDS,
  BEARINGS,
  edgeLetter,
  type Joisted,
  type JoistedPart,
  newJoistEdge,
  outsideRing,
  withOwnEdges,
} from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Folded } from "../components/Folded";
import { Picker } from "../components/Picker";
import { Faint } from "../components/Text";
import { Toggles } from "../components/Toggles";
import { OutlineEdges } from "../ground/OutlineEdges";
import { useJobLater } from "../job/useJobLater";
import { FigureList } from "../measure/FigureList";
import { foundNames, type JoistPanelProps } from "./changes";
import { SidePanel } from "./SidePanel";

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
      <SidePanel part={part} onChange={onChange} />
      <FigureList
        slots={slots.filter(({ path }) => path === "sideFrom")}
        activePath={active}
        onOpen={onFigure}
        title="Along the house"
        untitled
      />
      <OutlineEdges
        edges={part.edges}
        slots={slots.filter(({ path }) => path.startsWith("edges.") && path.endsWith(".length"))}
        active={active}
        nameOf={nameOf}
        fresh={newJoistEdge}
        least={3}
        onChange={(change) =>
          onChange((now) => ({ ...now, follows: withOwnEdges(now.follows), edges: change(now.edges) }))
        }
        onFigure={onFigure}
      />
      {bearing ? (
        <Folded title="What its edges bear on" under={borneWords(part, nameOf)}>
          {part.edges.map(({ id, bears }) => (
            <Picker
              key={id}
              labelled
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

/** The rooms it goes along with, or the storey whose outside it lies under; it moves to the storey of what is chosen. */
function FollowsPanel({ part, onChange }: Pick<JoistPanelProps, "part" | "onChange">) {
  const { plan } = useJobLater("plan");
  const { follows } = part;
  const storeys = plan.storeys.filter(({ rooms }) => rooms.some(({ polygon }) => polygon));
  if (storeys.length === 0) return null;
  const closed = storeys.flatMap(({ name: storey, rooms }) =>
    rooms.flatMap(({ room, polygon }) => (polygon ? [{ id: room.id, storey, name: room.name }] : [])),
  );
  const chosen = follows.how === "rooms" ? follows.roomIds : [];
  // Rooms of two storeys may be called alike.
  const labelOf = ({ name, storey }: (typeof closed)[number]) => (storeys.length > 1 ? `${name}, ${storey}` : name);
  const choose = (room: (typeof closed)[number], on: boolean) =>
    onChange((now) => {
      const before = now.follows.how === "rooms" && now.storey === room.storey ? now.follows.roomIds : [];
      const roomIds = on ? [...before, room.id] : before.filter((each) => each !== room.id);
      return {
        ...now,
        storey: on ? room.storey : now.storey,
        follows: roomIds.length === 0 ? { how: "own" } : { how: "rooms", roomIds },
      };
    });
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        {storeys
          .filter((storey) => outsideRing(storey).length > 0)
          .map(({ name }) => {
            const is = follows.how === "outside" && part.storey === name;
            return (
              <Button
                key={name}
                label={is ? `It follows the outside of ${name}` : `From the outside of ${name}`}
                kind={is ? "quiet" : "plain"}
                onPress={() => onChange((now) => ({ ...now, storey: name, follows: { how: "outside" } }))}
              />
            );
          })}
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
        options={closed.map(labelOf)}
        chosen={closed.filter(({ id }) => chosen.includes(id)).map(labelOf)}
        onToggle={(label, on) => {
          const room = closed.find((each) => labelOf(each) === label);
          if (room) choose(room, on);
        }}
      />
    </View>
  );
}
