import { CommitField } from "../components/CommitField";

export type Row = { readonly key: string; readonly percent: number };
type PercentsProps = {
  readonly title: string;
  readonly words: string;
  readonly rows: readonly Row[];
  readonly most: number;
  readonly onChange: (rows: Row[]) => void;
};

/** Percentages by code, one on a line: `sheet/ 10`. */
export function PercentLines({ title, words, rows, most, onChange }: PercentsProps) {
  const text = rows.map(({ key, percent }) => `${key} ${percent}`.trim()).join("\n");
  return (
    <CommitField
      label={`${title}, one on a line. ${words}`}
      name={title}
      multiline
      value={text}
      check={(typed) => {
        const wrong = typed.split("\n").filter((line) => line.trim() !== "" && !readRow(line, most));
        return wrong.length > 0 ? `“${wrong[0]}”: write a code and a percentage up to ${most}.` : undefined;
      }}
      onCommit={(typed) => onChange(typed.split("\n").flatMap((line) => readRow(line, most) ?? []))}
    />
  );
}

/** `sheet/ 10`, or a percentage alone. */
function readRow(line: string, most: number): Row | undefined {
  const match = /^\s*(\S*?)\s*(\d+(?:\.\d+)?)\s*%?\s*$/.exec(line);
  const percent = Number(match?.[2]);
  return match && percent <= most ? { key: match[1] ?? "", percent } : undefined;
}
