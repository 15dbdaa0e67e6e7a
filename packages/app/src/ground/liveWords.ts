import { type PartCount, quantityText } from "@wide-porch/core";

/** `11.66 m³ concrete, 14.51 m³ dug, 191 kg of bars`. */
export const groundLive =
  (system: "imperial" | "metric") =>
  ({ lines }: PartCount): string => {
    const of = (...rules: readonly string[]) => lines.find(({ rule }) => rules.includes(rule));
    const say = (words: string, ...rules: readonly string[]): string[] => {
      const line = of(...rules);
      return line ? [`${quantityText(line.quantity, line.unit, system)} ${words}`] : [];
    };
    return [
      ...say("of concrete", "placed", "placedPumped"),
      ...say("dug", "digByMachine", "digByHand"),
      ...say("of bars", "barsFixed"),
      ...say("of mesh", "meshSheets", "meshByArea"),
    ].join(", ");
  };
