import { Text, View } from "react-native";
import Svg, { Rect } from "react-native-svg";
export default function Home() {
  return (
    <View className="p-4">
      <Text className="text-xl">Hi</Text>
      <Svg width={10} height={10}>
        <Rect width={10} height={10} />
      </Svg>
    </View>
  );
}
