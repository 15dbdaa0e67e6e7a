import { MEASURED_AS, type Opening } from "@wide-porch/core";
import type { PropsWithChildren } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Sheet } from "../components/Sheet";
import { Faint, Strong } from "../components/Text";
import { ChevronRight, Trash2 } from "../icons";
import { useTokens } from "../theme/useTokens";

type Sized = Pick<Opening, "measuredAs" | "name"> & { readonly kind: string };

const MEASURED_WORDS: Record<Opening["measuredAs"], string> = { rough: "The rough opening", unit: "The unit" };

const UNIT_WORDS: Record<string, string> = { door: "door", window: "window" };

/** Whether a unit goes in it, so that it can be measured by the unit. */
const takesUnit = ({ kind }: Sized): boolean => kind in UNIT_WORDS;

/** `unit size`, where that is what was measured. */
const sizeWords = (opening: Sized): string => (opening.measuredAs === "unit" ? "unit size" : "rough opening");

type RowProps = { readonly opening: Sized; readonly where?: string; readonly onPress: () => void };

/** An opening in a list, with what was chosen of it; opens its choices. */
export function OpeningRow({ opening, where, onPress }: RowProps) {
  return (
    <Pressable
      role="button"
      aria-label={`Choices of ${opening.name}`}
      onPress={onPress}
      className="min-h-12 flex-row items-center justify-between gap-3 border-b border-rule py-1 active:bg-pine-wash"
    >
      <View className="min-w-0 flex-1">
        <Strong>{opening.name}</Strong>
        <Faint>{where === undefined ? sizeWords(opening) : `${sizeWords(opening)}, ${where}`}</Faint>
      </View>
      <Chevron />
    </Pressable>
  );
}

function Chevron() {
  const { colour } = useTokens();
  return <ChevronRight size={20} color={colour("pine")} aria-hidden />;
}

type Props = PropsWithChildren<{
  readonly opening: Sized;
  readonly onMeasuredAs: (measuredAs: Opening["measuredAs"]) => void;
  readonly onTakeOut: () => void;
  readonly onClose: () => void;
}>;

/** What an opening's figures are the figures of, and whatever else is chosen of it. */
export function OpeningSheet({ opening, onMeasuredAs, onTakeOut, onClose, children }: Props) {
  return (
    <Sheet open onClose={onClose} title={opening.name}>
      {takesUnit(opening) ? (
        <>
          <Choice
            label="Its width and height are those of"
            value={opening.measuredAs}
            onChange={onMeasuredAs}
            options={MEASURED_AS.map((value) => ({ value, label: MEASURED_WORDS[value] }))}
          />
          <Faint>
            {opening.measuredAs === "unit"
              ? `The wall is framed for the ${UNIT_WORDS[opening.kind]} and the allowance round it. The allowances are among the wall’s choices.`
              : `As framed. If this is the size of the ${UNIT_WORDS[opening.kind]} itself, say so: the hole has to be larger.`}
          </Faint>
        </>
      ) : null}
      {children}
      <Button label={`Take out ${opening.name}`} kind="quiet" icon={Trash2} onPress={onTakeOut} />
    </Sheet>
  );
}
