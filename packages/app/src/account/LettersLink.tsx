import { Link } from "expo-router";
import { View } from "react-native";
import { Faint, Strong } from "../components/Text";

/** Where letters of the stand-in are read; nothing where real mail is sent. */
export function LettersLink({ letters }: { letters: string | null }) {
  if (!letters) return null;
  return (
    <View className="gap-1 border-t border-rule pt-4">
      <Faint>No mail server is set up: letters are kept on a page of this machine.</Faint>
      <Link href={letters as never} target="_blank">
        <Strong className="text-pine underline">Read the letters</Strong>
      </Link>
    </View>
  );
}
