import { Link } from "expo-router";
import { View } from "react-native";
import { Body, Strong, Title } from "../components/Text";

export function NoSuchJob() {
  return (
    <View className="gap-3 p-6">
      <Title>There is no such job</Title>
      <Body>It may belong to another company, or the link may be cut short.</Body>
      <Link href="/jobs">
        <Strong className="text-pine underline">Go to your jobs</Strong>
      </Link>
    </View>
  );
}
