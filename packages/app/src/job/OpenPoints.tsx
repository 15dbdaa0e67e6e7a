import { plural } from "@wide-porch/core";
import { lazy, Suspense, useState } from "react";
import { Pressable, View } from "react-native";
import { Sheet } from "../components/Sheet";
import { Strong } from "../components/Text";
import { CircleQuestionMark } from "../icons";
import { useTokens } from "../theme/useTokens";
import { useOpenPoints } from "./useOpenPoints";

const OpenPointsList = lazy(() => import("./OpenPointsList").then((list) => ({ default: list.OpenPointsList })));

/** A quiet count in the header; it opens the list of what is missing or assumed. */
export function OpenPointsMark() {
  const [open, setOpen] = useState(false);
  const { colour } = useTokens();
  const { total } = useOpenPoints();
  if (total === undefined) return null;
  const words = plural(total, "1 open point", `${total} open points`);
  return (
    <View>
      <Pressable
        role="button"
        aria-label={words}
        onPress={() => setOpen(true)}
        className="min-h-9 flex-row items-center gap-1 px-2"
      >
        <CircleQuestionMark size={16} color={colour(total > 0 ? "clay" : "faint")} aria-hidden />
        <Strong className={`text-sm ${total > 0 ? "text-clay" : "text-faint"}`}>{words}</Strong>
      </Pressable>
      <Sheet open={open} onClose={() => setOpen(false)} title="Open points">
        <Suspense fallback={null}>
          <OpenPointsList onGo={() => setOpen(false)} />
        </Suspense>
      </Sheet>
    </View>
  );
}
