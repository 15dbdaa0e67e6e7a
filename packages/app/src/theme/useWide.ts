import { useWindowDimensions } from "react-native";

const WIDE_FROM_PX = 900;

/** Whether there is room for things side by side. */
export const useWide = (): boolean => useWindowDimensions().width >= WIDE_FROM_PX;
