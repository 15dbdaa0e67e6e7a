import regular from "@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf";
import semiBold from "@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf";
import display from "@expo-google-fonts/besley/600SemiBold/Besley_600SemiBold.ttf";

/** Shipped with the app; see the licences in the packages (SIL Open Font License). */
const FONTS: Readonly<Record<string, unknown>> = {
  "Atkinson-Regular": regular,
  "Atkinson-SemiBold": semiBold,
  "Besley-SemiBold": display,
};

/** Where a bundled file lies: its address, or a record that has it. */
function addressOf(asset: unknown): string | undefined {
  if (typeof asset === "string") return asset;
  const uri: unknown = typeof asset === "object" && asset !== null ? Reflect.get(asset, "uri") : undefined;
  return typeof uri === "string" ? uri : undefined;
}

/** Makes the fonts known to the page by script: it takes no styles that are written into it. */
export function loadFonts(): void {
  if (typeof document === "undefined" || typeof FontFace === "undefined") return;
  for (const [family, asset] of Object.entries(FONTS)) {
    const address = addressOf(asset);
    if (address === undefined) throw new Error(`loadFonts: nothing says where ${family} lies`);
    document.fonts.add(new FontFace(family, `url("${address}")`, { display: "swap" }));
  }
}
