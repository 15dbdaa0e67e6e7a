import { useEffect, useState } from "react";
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
};

/** An entry that saves itself when it is left or Enter is pressed. What cannot be taken stays, with the reason. */
export function CommitField({ value, check, onCommit, multiline = false, ...rest }: Props) {
  const [text, setText] = useState(value);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    setText(value);
    setProblem(undefined);
  }, [value]);

  const commit = () => {
    const trimmed = multiline ? text : text.trim();
    const found = check?.(trimmed);
    setProblem(found);
    if (found === undefined && trimmed !== value) onCommit(trimmed);
  };
  return (
    <TextField
      {...rest}
      value={text}
      onChangeText={setText}
      onBlur={commit}
      onSubmitEditing={multiline ? undefined : commit}
      multiline={multiline}
      problem={problem}
    />
  );
}
