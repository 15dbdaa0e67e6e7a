import { useColorScheme } from "react-native";
import { type ColourName, DARK, LIGHT } from "./tokens";

/** Colours for what takes no class: icons and drawings. */
export function useTokens(): { colour: (name: ColourName) => string } {
  const set = useColorScheme() === "dark" ? DARK : LIGHT;
  return { colour: (name) => `rgb(${set[name].split(" ").join(",")})` };
}
