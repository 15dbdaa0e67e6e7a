import { useRef } from "react";
import { FileInput, type LucideIcon } from "../icons";
import { Button } from "./Button";

type Props = {
  readonly label: string;
  /** Of the file that is chosen, for who cannot see the button. */
  readonly name: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
  readonly kind?: "main" | "plain" | "quiet";
  readonly icon?: LucideIcon;
};

/** Opens the device's own choice of files. The same file can be chosen again. */
export function FileButton({ label, name, accept, onFile, kind = "quiet", icon = FileInput }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button label={label} kind={kind} icon={icon} onPress={() => input.current?.click()} />
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={name}
        tabIndex={-1}
        style={{ display: "none" }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onFile(file);
          event.target.value = "";
        }}
      />
    </>
  );
}
