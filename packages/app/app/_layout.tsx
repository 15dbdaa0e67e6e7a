import "../global.css";
import { Slot } from "expo-router";
export default function Root() {
  return <Slot />;
}
