import { type PropsWithChildren, useState } from "react";
import { Pressable, View } from "react-native";
import { ChevronDown, ChevronRight } from "../icons";
import { useTokens } from "../theme/useTokens";
import { Faint, Title } from "./Text";

type Props = { readonly title: string; readonly under?: string | undefined; readonly startsOpen?: boolean };

/** A heading that what is under it is folded into: made when it is first unfolded. */
export function Folded({ title, under, startsOpen = false, children }: PropsWithChildren<Props>) {
  const [open, setOpen] = useState(startsOpen);
  const { colour } = useTokens();
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <View className="gap-3 border-b border-rule pb-3">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={under ? `${title}: ${under}` : title}
        onPress={() => setOpen(!open)}
        className="min-h-12 flex-row items-center gap-2 active:bg-pine-wash"
      >
        <View className="min-w-0 flex-1">
          <Title level={2}>{title}</Title>
          {under ? <Faint>{under}</Faint> : null}
        </View>
        <Mark size={20} color={colour("pine")} aria-hidden />
      </Pressable>
      {open ? children : null}
    </View>
  );
}
