import {
  type Deck,
  deckChoicesOf,
  edgeLetter,
  frameSides,
  guardSides,
  isAtHouse,
  isHigh,
  withHouse,
} from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Faint, Title } from "../../components/Text";
import { Toggles } from "../../components/Toggles";
import { useJob } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import { type DeckPanelProps, deckChange } from "./changes";

const SIDES = [
  { value: true, label: "Against the house" },
  { value: false, label: "Open" },
] as const;

/** How high it is, which sides are at the house, and along which it has a guard and a frame. */
export function SidesPanel({ deck, slots, active, onChange, onFigure }: DeckPanelProps) {
  const { context } = useJob("context");
  const change = deckChange({ onChange });
  const choices = deckChoicesOf(deck, context.system);
  const nameOf = (id: string) => `Edge ${edgeLetter(deck.edges, id)}`;
  const guarded = guardSides(deck, choices);
  return (
    <View className="gap-3">
      <FigureList
        slots={slots.filter(({ path }) => path === "rise")}
        activePath={active}
        onOpen={onFigure}
        title="Height"
      />
      <Title level={2}>Sides</Title>
      {deck.edges.map((edge) => (
        <Choice
          key={edge.id}
          label={nameOf(edge.id)}
          options={SIDES}
          value={isAtHouse(deck, edge)}
          onChange={(at) => change((now) => withHouse(now, edge.id, at))}
        />
      ))}
      <SidesOf
        label="Guard along"
        deck={deck}
        chosen={guarded}
        rule={guardRule(deck, isHigh(deck, choices))}
        byHand={deck.guardOn !== null}
        onChange={(guardOn) => change((now) => ({ ...now, guardOn }))}
      />
      <SidesOf
        label="Picture frame along"
        deck={deck}
        chosen={frameSides(deck)}
        rule="Along its open sides."
        byHand={deck.frameOn !== null}
        onChange={(frameOn) => change((now) => ({ ...now, frameOn }))}
      />
    </View>
  );
}

function guardRule({ rise }: Deck, high: boolean): string {
  if (rise.valueNm === null) return "Along its open sides, where it is high: nobody has measured how high it is.";
  return high ? "Along its open sides: it is high enough to ask for one." : "None: it is too low to ask for one.";
}

type Props = {
  readonly label: string;
  readonly deck: Deck;
  readonly chosen: readonly string[];
  readonly rule: string;
  readonly byHand: boolean;
  readonly onChange: (ids: string[] | null) => void;
};

/** Sides that follow a rule until somebody chooses them, and can be given back. */
function SidesOf({ label, deck, chosen, rule, byHand, onChange }: Props) {
  const nameOf = (id: string) => `Edge ${edgeLetter(deck.edges, id)}`;
  return (
    <View className="gap-1">
      <Toggles
        label={label}
        options={deck.edges.map(({ id }) => nameOf(id))}
        chosen={deck.edges.filter(({ id }) => chosen.includes(id)).map(({ id }) => nameOf(id))}
        onToggle={(name, on) =>
          onChange(deck.edges.filter(({ id }) => (nameOf(id) === name ? on : chosen.includes(id))).map(({ id }) => id))
        }
      />
      {byHand ? (
        <View className="flex-row flex-wrap items-center gap-2">
          <Faint>Chosen by hand.</Faint>
          <Button
            label="Let it follow the sides"
            name={`${label}: let it follow the sides`}
            kind="quiet"
            onPress={() => onChange(null)}
          />
        </View>
      ) : (
        <Faint>{rule}</Faint>
      )}
    </View>
  );
}
