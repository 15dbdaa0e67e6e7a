import { View } from "react-native";
import { Body, Title } from "../components/Text";

export function NoCosts() {
  return (
    <View className="gap-2 p-6">
      <Title level={2}>Costs are not shown here</Title>
      <Body>Crew see what to build and what to order. Prices and quotes are for the owner and the estimator.</Body>
    </View>
  );
}
