import { useId } from "react";
import { TextInput, type TextInputProps, View } from "react-native";
import { Faint, Warning } from "./Text";

type Props = TextInputProps & {
  readonly label: string;
  readonly problem?: string | undefined;
  readonly suffix?: string;
  readonly boxClassName?: string;
  /** Said instead of the label, where the label alone is not enough. */
  readonly name?: string;
  /** The label is read out but not shown, where what stands beside it says the same. */
  readonly hideLabel?: boolean;
};

/** A labelled entry with its problem, if any, in words beneath it. */
export function TextField({
  label,
  problem,
  suffix,
  boxClassName = "",
  hideLabel = false,
  name,
  className = "",
  ...rest
}: Props) {
  const id = useId();
  return (
    <View className={`gap-1 ${boxClassName}`}>
      {hideLabel ? null : <Faint nativeID={`${id}-label`}>{label}</Faint>}
      <View
        className={`min-h-12 flex-row items-center rounded-md border bg-sheet ${problem ? "border-clay" : "border-faint"}`}
      >
        <TextInput
          {...rest}
          {...(hideLabel || name ? { "aria-label": name ?? label } : { "aria-labelledby": `${id}-label` })}
          aria-describedby={problem ? `${id}-problem` : undefined}
          aria-invalid={problem !== undefined}
          className={`figures min-h-12 w-full min-w-0 flex-1 rounded-md px-3 py-2 font-text text-base text-ink ${className}`}
        />
        {suffix ? <Faint className="pr-3">{suffix}</Faint> : null}
      </View>
      {problem ? (
        <Warning nativeID={`${id}-problem`} role="alert">
          {problem}
        </Warning>
      ) : null}
    </View>
  );
}
