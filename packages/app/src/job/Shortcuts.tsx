import { useEffect, useState } from "react";
import { View } from "react-native";
import { Sheet } from "../components/Sheet";
import { Body, Strong } from "../components/Text";
import { useJob } from "./JobContext";

const SHORTCUTS: readonly (readonly [string, string])[] = [
  ["Ctrl Z", "Undo"],
  ["Ctrl Shift Z", "Redo"],
  ["Enter", "In the tape pad: take the entry and go to the next figure"],
  ["Shift Enter", "In the tape pad: take the entry and go back"],
  ["Escape", "Close the tape pad or a sheet"],
  ["?", "This list"],
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** The job's keys, and the list of them. In a field the keys are the field's own. */
export function Shortcuts() {
  const { undo, redo } = useJob("undo", "redo");
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target)) return;
      if (event.key === "?") setOpen(true);
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z") return;
      event.preventDefault();
      if (event.shiftKey) redo?.();
      else undo?.();
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [undo, redo]);
  return (
    <Sheet open={open} onClose={() => setOpen(false)} title="Keys">
      {SHORTCUTS.map(([keys, does]) => (
        <View key={keys} className="flex-row gap-4 border-b border-rule py-1">
          <Strong className="w-32">{keys}</Strong>
          <Body className="flex-1">{does}</Body>
        </View>
      ))}
    </Sheet>
  );
}
