import { type BuildUp, type CostKind, formatMoney, packWord, soMany } from "@wide-porch/core";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Body, Faint, Figure } from "../components/Text";
import { KIND_WORDS } from "./kindWords";

type Props = { readonly kind: CostKind; readonly buildUp: BuildUp; readonly currency: string };

/** What one kind of cost comes to, and its lines when they are asked for. */
export function KindLines({ kind, buildUp, currency }: Props) {
  const [open, setOpen] = useState(false);
  const lines = buildUp.lines.filter((line) => line.kind === kind);
  const total = buildUp.kinds.find((each) => each.kind === kind);
  if (lines.length === 0 || !total) return null;
  const hours = kind === "labour" ? `, ${buildUp.labourHours} h` : "";
  const count = `${soMany(lines.length, "line", "lines")}${hours}`;
  return (
    <View className="border-b border-rule">
      <Pressable
        role="button"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        className="min-h-12 flex-row items-center gap-3 active:bg-pine-wash"
      >
        <View className="flex-1">
          <Body>{KIND_WORDS[kind]}</Body>
          <Faint>{`${count}, ${open ? "press to close" : "press to see"}`}</Faint>
        </View>
        <Figure className="min-w-28 text-right">{formatMoney(total.cost, currency)}</Figure>
      </Pressable>
      {open ? (
        <View className="pb-2 pl-3">
          {lines.map((line) => (
            <View key={line.id} className="flex-row items-baseline gap-3 border-t border-rule py-1">
              <View className="flex-1">
                <Body className="text-sm">{line.description}</Body>
                <Faint className="figures">
                  {line.unitCost === null
                    ? Number(line.cost) === 0
                      ? "no price"
                      : `${line.quantity} ${line.unitName}`
                    : `${line.quantity} ${packWord(Number(line.quantity), line.unitName)} at ${formatMoney(line.unitCost, currency)}`}
                </Faint>
              </View>
              <Figure className="text-base">{formatMoney(line.cost, currency)}</Figure>
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}
