import {
  edgeLetter,
  type FlatRoof,
  fasciaSides,
  gutterSides,
  isByHand,
  isFlatRoof,
  TRIMS,
  type Trim,
  unmeasured,
} from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Faint, Title } from "../../components/Text";
import { Toggles } from "../../components/Toggles";
import type { JoistPanelProps } from "../../joists/changes";
import { FigureList } from "../../measure/FigureList";

/** What runs along its sides: each length follows until it is set by hand, and can be given back. */
export function TrimsPanel({ part, slots, active, onChange, onFigure }: JoistPanelProps) {
  if (!isFlatRoof(part)) return null;
  const change = (to: (now: FlatRoof) => FlatRoof) => onChange((now) => (isFlatRoof(now) ? to(now) : now));
  return (
    <View className="gap-3">
      <Title level={2}>Along its sides</Title>
      <SidesOf
        label="Fascia along"
        roof={part}
        chosen={fasciaSides(part)}
        onChange={(fasciaOn) => change((now) => ({ ...now, fasciaOn }))}
      />
      <SidesOf
        label="Kerb along"
        roof={part}
        chosen={part.kerbOn}
        onChange={(kerbOn) => change((now) => ({ ...now, kerbOn }))}
      />
      <SidesOf
        label="Gutter along"
        roof={part}
        chosen={gutterSides(part)}
        onChange={(gutterOn) => change((now) => ({ ...now, gutterOn }))}
      />
      {TRIMS.map(([trim, label, follows]) => (
        <View key={trim} className="gap-1">
          <FigureList
            slots={slots.filter(({ path }) => path === trim)}
            activePath={active}
            onOpen={onFigure}
            title="Lengths"
            untitled
          />
          {isByHand(part, trim) ? (
            <GiveBack
              label={label}
              follows={follows}
              onPress={() => change((now) => ({ ...now, [trim satisfies Trim]: unmeasured }))}
            />
          ) : null}
        </View>
      ))}
    </View>
  );
}

type BackProps = { readonly label: string; readonly follows: string; readonly onPress: () => void };

function GiveBack({ label, follows, onPress }: BackProps) {
  return (
    <View className="flex-row flex-wrap items-center gap-2">
      <Faint>Set by hand.</Faint>
      <Button
        label={`Let it follow ${follows}`}
        name={`${label}: let it follow ${follows}`}
        kind="quiet"
        onPress={onPress}
      />
    </View>
  );
}

type SidesProps = {
  readonly label: string;
  readonly roof: FlatRoof;
  readonly chosen: readonly string[];
  readonly onChange: (ids: string[]) => void;
};

function SidesOf({ label, roof, chosen, onChange }: SidesProps) {
  const nameOf = (id: string) => `Edge ${edgeLetter(roof.edges, id)}`;
  return (
    <Toggles
      label={label}
      options={roof.edges.map(({ id }) => nameOf(id))}
      chosen={roof.edges.filter(({ id }) => chosen.includes(id)).map(({ id }) => nameOf(id))}
      onToggle={(name, on) =>
        onChange(roof.edges.filter(({ id }) => (nameOf(id) === name ? on : chosen.includes(id))).map(({ id }) => id))
      }
    />
  );
}
