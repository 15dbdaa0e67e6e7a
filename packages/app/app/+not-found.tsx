import { Link } from "expo-router";
import { View } from "react-native";
import { Body, Strong, Title } from "../src/components/Text";

export default function NotFound() {
  return (
    <View role="main" className="gap-3 p-6">
      <Title>There is nothing at this address</Title>
      <Body>The link may be old, or cut short.</Body>
      <Link href="/jobs">
        <Strong className="text-pine underline">Go to the jobs</Strong>
      </Link>
    </View>
  );
}
