import { MOST_JOIST_SPOTS, pluralOf, type SpotKind, soMany, spotName, unmeasured } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Folded } from "../components/Folded";
import { ownSlots } from "../ground/Bands";
import { Plus } from "../icons";
import { newId } from "../sync/newId";
import type { JoistPanelProps } from "./changes";
import { ItemFigures } from "./ItemFigures";

type Props = JoistPanelProps & {
  readonly told: readonly { readonly path: string; readonly message: string }[] | undefined;
};

const KINDS: readonly { readonly value: SpotKind; readonly label: string }[] = [
  { value: "post", label: "Post" },
  { value: "hold-down", label: "Hold-down" },
  { value: "strap", label: "Strap" },
];

/** `2 posts, 1 hold-down`: what stands at places of its own. */
function spotWords(part: JoistPanelProps["part"]): string {
  const counts = KINDS.map(({ value, label }) => {
    const many = part.spots.filter(({ kind }) => kind === value).length;
    return many === 0 ? "" : soMany(many, label.toLowerCase(), pluralOf(label.toLowerCase()));
  }).filter((words) => words !== "");
  return counts.length === 0 ? "None; posts at a spacing are by its choices" : counts.join(", ");
}

/** Posts, hold-downs and straps at places of their own, each counted where it stands. */
export function SpotsPanel({ part, slots, active, told, onChange, onFigure }: Props) {
  const add = (kind: SpotKind) => {
    const id = newId().slice(0, 8);
    if (onChange((now) => ({ ...now, spots: [...now.spots, { id, kind, along: unmeasured, off: unmeasured }] })))
      onFigure(`spots.${id}.along`);
  };
  return (
    // The tape pad takes its place on a phone: unfolded again behind it, where there is something in it.
    <Folded title="Posts and hardware at places" under={spotWords(part)} startsOpen={part.spots.length > 0}>
      {part.spots.map(({ id }) => (
        <ItemFigures
          key={id}
          name={spotName(part, id) ?? ""}
          slots={ownSlots(slots, `spots.${id}.`)}
          active={active}
          told={told}
          onFigure={onFigure}
          onTakeOut={() => onChange((now) => ({ ...now, spots: now.spots.filter((each) => each.id !== id) }))}
        />
      ))}
      <View className="flex-row flex-wrap gap-2">
        {part.spots.length < MOST_JOIST_SPOTS
          ? KINDS.map(({ value, label }) => (
              <Button
                key={value}
                label={label}
                name={`Add: ${label} at a place`}
                kind="plain"
                icon={Plus}
                onPress={() => add(value)}
              />
            ))
          : null}
      </View>
    </Folded>
  );
}
