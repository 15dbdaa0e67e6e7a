import { MOST_ROOF_FEATURES, type RoofFeature, roofEdgeName } from "@wide-porch/core";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../../components/Button";
import { CommitField } from "../../components/CommitField";
import { Body, Faint, Title } from "../../components/Text";
import { Plus, Trash2 } from "../../icons";
import { FigureList } from "../../measure/FigureList";
import { NewFeature } from "./NewFeature";
import type { PanelProps } from "./panelProps";

/** Dormers, roof windows, chimneys and the like: each can be changed by its figures at any time, or taken out. */
export function FeaturesPanel(props: PanelProps) {
  const { roof, onChange } = props;
  const [adding, setAdding] = useState(false);
  const [chosen, setChosen] = useState<string>();
  const slopes = roof.edges.some(({ end }) => end === "eave" || end === "half-hip");
  return (
    <View className="gap-2">
      <Title level={2}>In its slopes</Title>
      {roof.features.length === 0 ? <Faint>No dormers, roof windows or chimneys yet.</Faint> : null}
      {roof.features.map((feature) => (
        <OneFeature
          key={feature.id}
          {...props}
          feature={feature}
          open={feature.id === chosen}
          onOpen={() => setChosen(feature.id === chosen ? undefined : feature.id)}
        />
      ))}
      {slopes && roof.features.length < MOST_ROOF_FEATURES ? (
        <Button label="Put something in" kind="plain" icon={Plus} onPress={() => setAdding(true)} />
      ) : null}
      {adding ? (
        <NewFeature
          roof={roof}
          onClose={() => setAdding(false)}
          onPut={(feature) => {
            if (!onChange((now) => ({ ...now, features: [...now.features, feature] }))) return;
            setAdding(false);
            setChosen(feature.id);
          }}
        />
      ) : null}
    </View>
  );
}

type OneProps = PanelProps & { readonly feature: RoofFeature; readonly open: boolean; readonly onOpen: () => void };

function OneFeature({ roof, slots, active, onChange, onFigure, feature, open, onOpen }: OneProps) {
  const { id, name, edgeId } = feature;
  const change = (to: (now: RoofFeature) => RoofFeature) =>
    onChange((now) => ({ ...now, features: now.features.map((each) => (each.id === id ? to(each) : each)) }));
  const where = `over ${roofEdgeName(roof, edgeId)}`;
  return (
    <View className="border-b border-rule">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${name}, ${where}`}
        onPress={onOpen}
        className={`min-h-12 justify-center py-1 active:bg-pine-wash ${open ? "bg-pine-wash" : ""}`}
      >
        <Body>{name}</Body>
        <Faint>{where}</Faint>
      </Pressable>
      {open ? (
        <View className="gap-3 pb-3">
          <FigureList
            slots={slots.filter(({ path }) => path.startsWith(`features.${id}.`)).map((slot) => ({ ...slot, of: "" }))}
            activePath={active}
            onOpen={onFigure}
            title={`Figures of ${name}`}
          />
          <CommitField
            label={`What ${name} is called`}
            value={name}
            check={(text) => (text.trim() === "" ? "It needs a name." : undefined)}
            onCommit={(text) => {
              change((now) => ({ ...now, name: text.trim().slice(0, 120) }));
            }}
          />
          <View className="flex-row flex-wrap gap-2">
            <Button
              label="Take it out"
              name={`Take ${name} out`}
              kind="plain"
              icon={Trash2}
              onPress={() => onChange((now) => ({ ...now, features: now.features.filter((each) => each.id !== id) }))}
            />
          </View>
        </View>
      ) : null}
    </View>
  );
}
