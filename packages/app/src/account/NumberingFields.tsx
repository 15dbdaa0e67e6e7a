import { type QuoteNumbering, quoteNumber, quoteNumberingSchema } from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../components/Choice";
import { CommitField } from "../components/CommitField";
import { Body, Title } from "../components/Text";
import { useChangeCompany } from "./changeCompany";

const BY_YEAR = [
  { value: true, label: "Anew each year" },
  { value: false, label: "Going on" },
] as const;

/** How quotes are numbered, and what the first of them looks like. */
export function NumberingFields({ numbering }: { readonly numbering: QuoteNumbering }) {
  const change = useChangeCompany();
  const keep = (next: Partial<QuoteNumbering>) => change({ profile: { numbering: { ...numbering, ...next } } });
  const problemOf = (next: object): string | undefined => {
    const found = quoteNumberingSchema.safeParse({ ...numbering, ...next });
    return found.success ? undefined : found.error.issues[0]?.message;
  };
  const example = quoteNumber(numbering, new Date().getFullYear(), numbering.firstNumber);
  return (
    <View className="gap-3">
      <Title level={2}>Numbers of quotes</Title>
      <Body>{`As in ${example}. A number that a quote has already is passed over.`}</Body>
      <CommitField
        label="Before the number"
        value={numbering.prefix}
        check={(prefix) => problemOf({ prefix })}
        onCommit={(prefix) => keep({ prefix })}
      />
      <Choice label="Counted" options={BY_YEAR} value={numbering.byYear} onChange={(byYear) => keep({ byYear })} />
      <View className="flex-row gap-3">
        <CommitField
          label="Digits"
          boxClassName="flex-1"
          value={String(numbering.digits)}
          inputMode="numeric"
          check={(text) => problemOf({ digits: Number(text) })}
          onCommit={(text) => keep({ digits: Number(text) })}
        />
        <CommitField
          label="First number"
          boxClassName="flex-1"
          value={String(numbering.firstNumber)}
          inputMode="numeric"
          check={(text) => problemOf({ firstNumber: Number(text) })}
          onCommit={(text) => keep({ firstNumber: Number(text) })}
        />
      </View>
    </View>
  );
}
