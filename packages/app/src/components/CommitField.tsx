import { type ReactNode, useEffect, useState } from "react";
import type { TextInputProps } from "react-native";
import { TextField } from "./TextField";

type Props = {
  readonly label: string;
  readonly value: string;
  /** A sentence saying why the text cannot be taken, or undefined. */
  readonly check?: (text: string) => string | undefined;
  readonly onCommit: (text: string) => void;
  readonly suffix?: string;
  readonly multiline?: boolean;
  readonly inputMode?: TextInputProps["inputMode"];
  readonly className?: string;
  readonly boxClassName?: string;
  readonly hideLabel?: boolean;
  readonly name?: string;
  /** What the entry is stored as, or why it cannot be read. */
  readonly read?: (text: string) => { readonly text: string } | { readonly problem: string };
  /** Shown while the field is being typed in: keys of its own. */
  readonly keys?: ((typing: Typing) => ReactNode) | undefined;
};

/** The entry while it is typed, for keys that type into it. */
export type Typing = {
  readonly text: string;
  readonly change: (next: (before: string) => string) => void;
};

/** An entry that saves itself when it is left or Enter is pressed. What cannot be taken stays, with the reason. */
export function CommitField({ value, check, onCommit, multiline = false, read, keys, ...rest }: Props) {
  const [text, setText] = useState(value);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    setText(value);
    setProblem(undefined);
  }, [value]);

  const [typing, setTyping] = useState(false);
  const commit = () => {
    const trimmed = multiline ? text : text.trim();
    const entry = read?.(trimmed) ?? { text: trimmed };
    const found = "problem" in entry ? entry.problem : check?.(entry.text);
    setProblem(found);
    if (found !== undefined || "problem" in entry) return;
    if (entry.text === value) setText(value);
    else onCommit(entry.text);
  };
  const field = (
    <TextField
      {...rest}
      value={text}
      onChangeText={setText}
      onFocus={() => setTyping(true)}
      onBlur={() => {
        setTyping(false);
        commit();
      }}
      onSubmitEditing={multiline ? undefined : commit}
      multiline={multiline}
      problem={problem}
    />
  );
  if (!keys) return field;
  return (
    <>
      {field}
      {typing ? keys({ text, change: setText }) : null}
    </>
  );
}
