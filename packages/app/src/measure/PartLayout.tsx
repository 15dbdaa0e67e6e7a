import type { ReactNode } from "react";
import { ScrollView, View } from "react-native";
import { useWide } from "../theme/useWide";

type Props = {
  /** The drawing, at a height in pixels; nothing for a part that has none. */
  readonly drawing: ((heightPx: number) => ReactNode) | undefined;
  readonly lists: ReactNode;
  readonly pad: ReactNode | null;
  readonly phoneHeights?: { readonly withPad: number; readonly alone: number };
};

const WIDE_HEIGHT_PX = 560;

/** A part's drawing with its lists beside or below it, and the tape pad risen over them. */
export function PartLayout({ drawing, lists, pad, phoneHeights = { withPad: 190, alone: 280 } }: Props) {
  const wide = useWide();
  if (wide) {
    return (
      <View className="min-h-0 flex-1 flex-row">
        {drawing ? <View className="min-w-0 flex-1 justify-center p-4">{drawing(WIDE_HEIGHT_PX)}</View> : null}
        <View className={drawing ? "w-[400px] border-l border-rule" : "mx-auto w-full max-w-2xl"}>
          <ScrollView className="min-h-0 flex-1" contentContainerClassName="gap-5 p-4">
            {lists}
          </ScrollView>
          {pad}
        </View>
      </View>
    );
  }
  const { withPad, alone } = phoneHeights;
  return (
    <View className="min-h-0 flex-1">
      {drawing ? <View className="border-b border-rule bg-paper px-1">{drawing(pad ? withPad : alone)}</View> : null}
      {pad ? (
        <View className="flex-1 justify-end">{pad}</View>
      ) : (
        <ScrollView className="min-h-0 flex-1" contentContainerClassName="gap-5 p-4 pb-10">
          {lists}
        </ScrollView>
      )}
    </View>
  );
}
