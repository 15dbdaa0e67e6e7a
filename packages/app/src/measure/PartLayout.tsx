import { type ReactNode, useState } from "react";
import { ScrollView, View } from "react-native";
import { useWide } from "../theme/useWide";

type Props = {
  /** The drawing, at a height in pixels; nothing for a part that has none. */
  readonly drawing: ((heightPx: number) => ReactNode) | undefined;
  readonly lists: ReactNode;
  readonly pad: ReactNode | null;
  /** The drawing's height on the phone while no pad is open. */
  readonly phoneHeightPx?: number;
};

const WIDE_HEIGHT_PX = 560;

/**
 * A part's drawing with its lists beside or below it, and the tape pad risen over them. One tree for both widths: what is typed on the pad
 * stays when a tablet is turned.
 */
export function PartLayout({ drawing, lists, pad, phoneHeightPx = 280 }: Props) {
  const wide = useWide();
  const padTakesLists = pad !== null && drawing !== undefined && !wide;
  return (
    <View className={`min-h-0 flex-1 ${wide ? "flex-row" : ""}`}>
      {drawing ? <Drawing drawing={drawing} phoneHeightPx={pad ? undefined : phoneHeightPx} /> : null}
      <View className={restOf(wide, drawing !== undefined, padTakesLists)}>
        {padTakesLists ? null : (
          <ScrollView className="min-h-0 flex-1" contentContainerClassName={`gap-5 p-4 ${wide || pad ? "" : "pb-10"}`}>
            {lists}
          </ScrollView>
        )}
        {pad}
      </View>
    </View>
  );
}

function restOf(wide: boolean, beside: boolean, padTakesLists: boolean): string {
  if (!wide) return padTakesLists ? "" : "min-h-0 flex-1";
  return beside ? "w-[400px] border-l border-rule" : "mx-auto w-full max-w-2xl";
}

type DrawingProps = {
  readonly drawing: (heightPx: number) => ReactNode;
  /** Nothing where it takes the height that the pad leaves. */
  readonly phoneHeightPx: number | undefined;
};

function Drawing({ drawing, phoneHeightPx }: DrawingProps) {
  const wide = useWide();
  if (wide) return <View className="min-w-0 flex-1 justify-center p-4">{drawing(WIDE_HEIGHT_PX)}</View>;
  if (phoneHeightPx === undefined) return <RestOfHeight>{drawing}</RestOfHeight>;
  return <View className="border-b border-rule bg-paper px-1">{drawing(phoneHeightPx)}</View>;
}

/** A drawing in what height the tape pad leaves it. */
function RestOfHeight({ children }: { readonly children: (heightPx: number) => ReactNode }) {
  const [heightPx, setHeightPx] = useState(0);
  return (
    <View
      className="min-h-0 flex-1 overflow-hidden bg-paper px-1"
      onLayout={(event) => setHeightPx(Math.floor(event.nativeEvent.layout.height))}
    >
      {heightPx > 0 ? children(heightPx) : null}
    </View>
  );
}
