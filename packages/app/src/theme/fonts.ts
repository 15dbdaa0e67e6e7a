import regular from "@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf";
import semiBold from "@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf";
import display from "@expo-google-fonts/besley/600SemiBold/Besley_600SemiBold.ttf";

/** Shipped with the app; see the licences in the packages (SIL Open Font License). */
export const FONTS = {
  "Atkinson-Regular": regular,
  "Atkinson-SemiBold": semiBold,
  "Besley-SemiBold": display,
};
