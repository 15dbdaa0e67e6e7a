import { type Href, useRouter } from "expo-router";
import type { PropsWithChildren } from "react";
import { View } from "react-native";
import { ChevronLeft } from "../icons";
import { IconButton } from "./Button";
import { Title } from "./Text";

type Props = PropsWithChildren<{ readonly title: string; readonly backName: string; readonly backTo: string }>;

/** The head of a page outside a job: the way back, its title, and what can be done with it. */
export function PageBar({ title, backName, backTo, children }: Props) {
  const router = useRouter();
  return (
    <View role="banner" className="flex-row items-center border-b border-rule py-1 pl-1 pr-2">
      <IconButton name={backName} icon={ChevronLeft} onPress={() => router.replace(backTo as Href)} />
      <View className="min-w-0 flex-1">
        <Title numberOfLines={1}>{title}</Title>
      </View>
      {children}
    </View>
  );
}
