import { memo } from "react";
import { Pressable, Text } from "react-native";
import type { LucideIcon } from "../icons";
import { useTokens } from "../theme/useTokens";

type Kind = "main" | "plain" | "quiet";

const LOOKS: Record<Kind, { box: string; text: string; icon: "pine-ink" | "pine" | "ink" }> = {
  main: { box: "bg-pine active:opacity-80", text: "text-pine-ink", icon: "pine-ink" },
  plain: { box: "border border-pine bg-sheet active:bg-pine-wash", text: "text-pine", icon: "pine" },
  quiet: { box: "active:bg-pine-wash", text: "text-pine", icon: "pine" },
};

type Props = {
  readonly label: string;
  readonly onPress: () => void;
  readonly kind?: Kind;
  readonly icon?: LucideIcon;
  readonly disabled?: boolean;
  /** Said instead of the label, where the label alone is not enough. */
  readonly name?: string;
  readonly className?: string;
};

type GlyphProps = { readonly icon: LucideIcon; readonly size: number; readonly colour: string };

/** An icon is many drawn elements; it is drawn again only when it is another. */
export const Glyph = memo(function Glyph({ icon: Icon, size, colour }: GlyphProps) {
  return <Icon size={size} color={colour} aria-hidden />;
});

export function Button({ label, onPress, kind = "main", icon, disabled = false, name, className = "" }: Props) {
  const { colour } = useTokens();
  const look = LOOKS[kind];
  return (
    <Pressable
      role="button"
      aria-label={name ?? label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      className={`min-h-12 flex-row items-center justify-center gap-2 rounded-md px-4 ${look.box} ${disabled ? "opacity-50" : ""} ${className}`}
    >
      {icon ? <Glyph icon={icon} size={20} colour={colour(look.icon)} /> : null}
      <Text className={`font-strong text-base ${look.text}`}>{label}</Text>
    </Pressable>
  );
}

type IconButtonProps = {
  readonly name: string;
  readonly icon: LucideIcon;
  readonly onPress: () => void;
  readonly disabled?: boolean;
};

export function IconButton({ name, icon, onPress, disabled = false }: IconButtonProps) {
  const { colour } = useTokens();
  return (
    <Pressable
      role="button"
      aria-label={name}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      className={`h-12 w-12 items-center justify-center rounded-md active:bg-pine-wash ${disabled ? "opacity-40" : ""}`}
    >
      <Glyph icon={icon} size={22} colour={colour("ink")} />
    </Pressable>
  );
}
