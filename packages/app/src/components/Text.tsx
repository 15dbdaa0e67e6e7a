import { Text, type TextProps } from "react-native";
import { twMerge } from "tailwind-merge";

type Props = TextProps & { className?: string };

export function Body({ className = "", ...rest }: Props) {
  return <Text {...rest} className={twMerge("font-text text-base leading-6 text-ink", className)} />;
}

export function Strong({ className = "", ...rest }: Props) {
  return <Text {...rest} className={twMerge("font-strong text-base leading-6 text-ink", className)} />;
}

export function Faint({ className = "", ...rest }: Props) {
  return <Text {...rest} className={twMerge("font-text text-sm leading-5 text-faint", className)} />;
}

/** Numbers that stack. */
export function Figure({ className = "", ...rest }: Props) {
  return <Text {...rest} className={twMerge("figures font-strong text-lg leading-6 text-ink", className)} />;
}

/** What needs attention: its words say so, not the colour alone. */
export function Warning({ className = "", ...rest }: Props) {
  return <Text {...rest} className={twMerge("font-strong text-sm leading-5 text-clay", className)} />;
}

const TITLE_SIZES = { 1: "text-2xl leading-8", 2: "text-lg leading-7", 3: "text-base leading-6" };

/** A heading, for reading out as well as for the eye. */
export function Title({ level = 1, className = "", ...rest }: Props & { level?: 1 | 2 | 3 }) {
  const look = twMerge("font-display text-ink", TITLE_SIZES[level], className);
  return <Text {...rest} role="heading" aria-level={level} className={look} />;
}
