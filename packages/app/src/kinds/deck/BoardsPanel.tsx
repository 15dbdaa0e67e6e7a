import { type DeckChoices, deckChoicesOf, formatLength, type PartContext, rowsOfDeck, soMany } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Faint, Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { type DeckPanelProps, deckChange } from "./changes";

type Rows = NonNullable<ReturnType<typeof rowsOfDeck>>;

/** `24 rows of 5 1/2", gaps of 1/4", and one ripped to 3 1/4"`. */
function rowWords({ rows, boardNm }: Rows, { system }: PartContext): string {
  const say = (nm: number) => formatLength(Math.round(nm), system);
  const whole = `${soMany(rows.whole, "row", "rows")} of ${say(boardNm)}, gaps of ${say(rows.gapNm)}`;
  return rows.rippedNm > 0 ? `${whole}, and one ripped to ${say(rows.rippedNm)}` : `${whole}, all whole`;
}

/** What rows of boards come to, and the same depth filled the other way. */
export function BoardsPanel({ deck, onChange }: DeckPanelProps) {
  const { context } = useJob("context");
  const change = deckChange({ onChange });
  const choices = deckChoicesOf(deck, context.system);
  const now = rowsOfDeck(deck, choices, context);
  if (!now) return null;
  const lastBoard: DeckChoices["lastBoard"] = choices.lastBoard === "ripped" ? "opened" : "ripped";
  const other = rowsOfDeck(deck, { ...choices, lastBoard }, context);
  const differs = other && other.rows.rippedNm > 0 !== now.rows.rippedNm > 0;
  return (
    <View className="gap-2">
      <Title level={2}>Boards</Title>
      <Faint>{`${rowWords(now, context)}.`}</Faint>
      {differs ? (
        <View className="gap-1">
          <Faint>{`Instead: ${rowWords(other, context)}.`}</Faint>
          <View className="flex-row">
            <Button
              label={lastBoard === "opened" ? "Open the gaps" : "Rip the last board"}
              kind="plain"
              onPress={() => change((each) => ({ ...each, choices: { ...each.choices, lastBoard } }))}
            />
          </View>
        </View>
      ) : null}
    </View>
  );
}
