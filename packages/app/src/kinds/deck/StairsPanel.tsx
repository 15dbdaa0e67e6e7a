import {
  type Deck,
  type DeckStair,
  deckChoicesOf,
  edgeLetter,
  formatLength,
  isAtHouse,
  MOST_STAIRS,
  newStair,
  type PartContext,
  type StairSteps,
  soMany,
  stairName,
  stairStepsOf,
  unmeasured,
} from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Picker } from "../../components/Picker";
import { Faint, Title } from "../../components/Text";
import { ownSlots } from "../../ground/Bands";
import { Plus, Trash2 } from "../../icons";
import { useJob } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import { newId } from "../../sync/newId";
import { type DeckPanelProps, deckChange } from "./changes";

/** `5 risers of 7 3/16", 4 treads of 10 1/2"; it reaches out 3' 6", at 34.4°`. */
export function stepWords(
  { risers, riserNm, treads, goingNm, runNm, pitchDegrees }: StairSteps,
  { system }: PartContext,
): string {
  const say = (nm: number) => formatLength(Math.round(nm), system);
  if (treads === 0) return `One step of ${say(riserNm)} up to the deck: nothing is built for it.`;
  const steps = `${risers} risers of ${say(riserNm)}, ${soMany(treads, "tread", "treads")} of ${say(goingNm)}`;
  return `${steps}; it reaches out ${say(runNm)}, at ${pitchDegrees.toFixed(1)}°.`;
}

/** Its stairs: where each goes down, how wide it is, and the steps that it comes to. */
export function StairsPanel(props: DeckPanelProps) {
  const { deck, onFigure } = props;
  const { context } = useJob("context");
  const change = deckChange(props);
  const add = () => {
    const id = newId().slice(0, 8);
    // On an open side across from the house, where there is one.
    const open = deck.edges.filter((edge) => !isAtHouse(deck, edge));
    const side = open[Math.floor(open.length / 2)] ?? deck.edges[0];
    if (!side) return;
    if (change((now) => ({ ...now, stairs: [...now.stairs, newStair(id, side.id, context.system)] })))
      onFigure(`stairs.${id}.along`);
  };
  return (
    <View className="gap-3">
      <Title level={2}>Stairs</Title>
      {deck.stairs.length === 0 ? <Faint>No stair goes down from it.</Faint> : null}
      {deck.stairs.map((stair) => (
        <OneStair key={stair.id} {...props} stair={stair} />
      ))}
      {deck.stairs.length < MOST_STAIRS ? (
        <View className="flex-row">
          <Button label="Add a stair" kind="plain" icon={Plus} onPress={add} />
        </View>
      ) : null}
    </View>
  );
}

function OneStair(props: DeckPanelProps & { readonly stair: DeckStair }) {
  const { deck, stair, slots, active, onFigure } = props;
  const { context } = useJob("context");
  const change = deckChange(props);
  const name = stairName(deck, stair.id) ?? "Stair";
  const steps = stairStepsOf(stair, deck, deckChoicesOf(deck, context.system));
  const withStair = (now: Deck, to: Partial<DeckStair>): Deck => ({
    ...now,
    stairs: now.stairs.map((each) => (each.id === stair.id ? { ...each, ...to } : each)),
  });
  return (
    <View className="gap-2">
      <Picker
        label={`${name} goes down from`}
        labelled
        value={stair.edgeId}
        options={deck.edges.map(({ id }) => ({ value: id, label: `Edge ${edgeLetter(deck.edges, id)}` }))}
        onChange={(edgeId) => change((now) => withStair(now, { edgeId }))}
      />
      <FigureList slots={ownSlots(slots, `stairs.${stair.id}.`)} activePath={active} onOpen={onFigure} title={name} />
      <Faint>{steps ? stepWords(steps, context) : "Its steps wait for its rise, or for the height of the deck."}</Faint>
      <View className="flex-row flex-wrap gap-2">
        {stair.rise.valueNm === null ? null : (
          <Button
            label="Let its rise follow the deck"
            name={`${name}: let its rise follow the deck`}
            kind="quiet"
            onPress={() => change((now) => withStair(now, { rise: unmeasured }))}
          />
        )}
        <Button
          label="Take it out"
          name={`Take out: ${name}`}
          kind="quiet"
          icon={Trash2}
          onPress={() => change((now) => ({ ...now, stairs: now.stairs.filter(({ id }) => id !== stair.id) }))}
        />
      </View>
    </View>
  );
}
