import { ScrollView, View } from "react-native";
import { mutate } from "swr";
import type { Session } from "../api/records";
import { signOut } from "../api/session";
import { Button } from "../components/Button";
import { Notice } from "../components/Notice";
import { Body, Title } from "../components/Text";
import { LogOut } from "../icons";
import { SecondFactor } from "./SecondFactor";

/** The company asks for a second factor of everybody: until it is set up there is nothing else. What was entered stays where it is. */
export const SecondFactorFirst = ({ session }: { readonly session: Session }) => (
  <ScrollView role="main" contentContainerClassName="mx-auto w-full max-w-md gap-5 p-6 pb-16 pt-10">
    <Title>One thing first</Title>
    <Notice title={`${session.company.name} asks for a second factor`}>
      <Body>
        An owner has asked it of everybody. Entries that are not sent yet stay on this device, and go out afterwards.
      </Body>
    </Notice>
    <SecondFactor onDone={() => void mutate("/session")} />
    <View className="border-t border-rule pt-4">
      <Button label="Sign out" kind="quiet" icon={LogOut} onPress={() => void signOut()} />
    </View>
  </ScrollView>
);
