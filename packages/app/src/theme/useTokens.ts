import { useSyncExternalStore } from "react";
import { Appearance } from "react-native";
import { type ColourName, DARK, LIGHT } from "./tokens";

type Tokens = { readonly colour: (name: ColourName) => string };

function tokensOf(set: Readonly<Record<ColourName, string>>): Tokens {
  const colours = new Map(Object.entries(set).map(([name, value]) => [name, `rgb(${value.split(" ").join(",")})`]));
  return { colour: (name) => colours.get(name) ?? "" };
}

const SETS = { light: tokensOf(LIGHT), dark: tokensOf(DARK) };

// Asking the browser for its scheme takes longer than drawing a figure; it says so itself when it changes.
let now = Appearance.getColorScheme() === "dark" ? SETS.dark : SETS.light;
const listeners = new Set<() => void>();
Appearance.addChangeListener(({ colorScheme }) => {
  now = colorScheme === "dark" ? SETS.dark : SETS.light;
  for (const listener of listeners) listener();
});

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Colours for what takes no class: icons and drawings. */
export const useTokens = (): Tokens =>
  useSyncExternalStore(
    subscribe,
    () => now,
    () => now,
  );
