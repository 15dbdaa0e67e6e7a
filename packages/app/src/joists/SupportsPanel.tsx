import { doubledName, MOST_SUPPORTS, type Support, supportName, unmeasured } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Faint, Title } from "../components/Text";
import { ownSlots } from "../ground/Bands";
import { Plus } from "../icons";
import { newId } from "../sync/newId";
import type { JoistPanelProps } from "./changes";
import { ItemFigures } from "./ItemFigures";

type Props = JoistPanelProps & {
  readonly told: readonly { readonly path: string; readonly message: string }[] | undefined;
  /** Whether walls may stand on it, under which joists are doubled. */
  readonly doubles: boolean;
};

const KINDS = [
  { value: "wall", label: "Wall below" },
  { value: "beam", label: "Beam below" },
  { value: "flush-beam", label: "Flush beam" },
] as const;

/** What carries the joists between their ends, and where one is doubled. */
export function SupportsPanel({ part, slots, active, told, doubles, onChange, onFigure }: Props) {
  const add = (kind: Support["kind"]) => {
    const id = newId().slice(0, 8);
    if (onChange((now) => ({ ...now, supports: [...now.supports, { id, kind, at: unmeasured }] })))
      onFigure(`supports.${id}.at`);
  };
  const double = () => {
    const id = newId().slice(0, 8);
    if (onChange((now) => ({ ...now, doubled: [...now.doubled, { id, at: unmeasured }] })))
      onFigure(`doubled.${id}.at`);
  };
  const lists = [
    ...part.supports.map(({ id }) => ({ list: "supports" as const, id, name: supportName(part, id) ?? "" })),
    ...part.doubled.map(({ id }) => ({ list: "doubled" as const, id, name: doubledName(part, id) ?? "" })),
  ];
  return (
    <View className="gap-3">
      <Title level={2}>What carries it between</Title>
      {lists.length === 0 ? <Faint>Joists run from edge to edge.</Faint> : null}
      {lists.map(({ list, id, name }) => (
        <ItemFigures
          key={id}
          name={name}
          slots={ownSlots(slots, `${list}.${id}.`)}
          active={active}
          told={told}
          onFigure={onFigure}
          onTakeOut={() => onChange((now) => ({ ...now, [list]: now[list].filter((each) => each.id !== id) }))}
        />
      ))}
      <View className="flex-row flex-wrap gap-2">
        {part.supports.length < MOST_SUPPORTS
          ? KINDS.map(({ value, label }) => (
              <Button
                key={value}
                label={label}
                name={`Add: ${label}`}
                kind="plain"
                icon={Plus}
                onPress={() => add(value)}
              />
            ))
          : null}
        {doubles && part.doubled.length < MOST_SUPPORTS ? (
          <Button label="Doubled joist" name="Add: Doubled joist" kind="plain" icon={Plus} onPress={double} />
        ) : null}
      </View>
    </View>
  );
}
