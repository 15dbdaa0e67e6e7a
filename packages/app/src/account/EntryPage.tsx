import type { PropsWithChildren } from "react";
import { ScrollView, View } from "react-native";
import { Body, Title } from "../components/Text";

type Props = PropsWithChildren<{ readonly title?: string; readonly lead: string }>;

/** A page for who is not signed in: the name of the app, and one thing to do. */
export const EntryPage = ({ title, lead, children }: Props) => (
  <ScrollView role="main" contentContainerClassName="mx-auto w-full max-w-md gap-5 p-6 pb-16 pt-10">
    <View className="gap-1">
      <Title level={title ? 2 : 1} className="text-4xl leading-[48px] text-pine">
        Wide Porch
      </Title>
      {title ? <Title className="pt-3">{title}</Title> : null}
      <Body>{lead}</Body>
    </View>
    {children}
  </ScrollView>
);
