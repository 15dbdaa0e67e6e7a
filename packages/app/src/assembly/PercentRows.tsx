import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { Picker, type PickerOption } from "../components/Picker";
import { Faint, Strong } from "../components/Text";
import { Plus, Trash2 } from "../icons";
import { FigureField } from "../measure/FigureField";

export type Row = { readonly key: string; readonly percent: number };

type Props = {
  readonly title: string;
  readonly words: string;
  readonly rows: readonly Row[];
  /** What a row can be for. What a row is for and is none of them is one more. */
  readonly options: readonly PickerOption[];
  readonly usual: number;
  readonly least: number;
  readonly most: number;
  readonly onChange: (rows: Row[]) => void;
};

/** Percentages, each for something picked: a row for each, with its figure. */
export function PercentRows({ title, words, rows, options, usual, least, most, onChange }: Props) {
  const free = options.filter((option) => !rows.some((row) => row.key === option.value));
  const labelOf = (key: string) => options.find((option) => option.value === key)?.label ?? (key || "All");
  const put = (index: number, row: Row) => onChange(rows.map((each, at) => (at === index ? row : each)));
  const [next] = free;
  return (
    <View role="group" aria-label={title} className="gap-2">
      <Strong>{title}</Strong>
      <Faint>{words}</Faint>
      {rows.map((row, index) => (
        <View key={row.key} className="gap-1 border-b border-rule pb-2">
          <View className="flex-row items-center gap-2">
            <View className="min-w-0 flex-1">
              <Picker
                label={`${title}, for`}
                options={[{ value: row.key, label: labelOf(row.key) }, ...free]}
                value={row.key}
                onChange={(key) => put(index, { ...row, key })}
              />
            </View>
            <FigureField
              measure="percent"
              label={`${title}: ${labelOf(row.key)}`}
              hideLabel
              value={String(row.percent)}
              suffix="%"
              boxClassName="w-24"
              className="text-right"
              check={(typed) => {
                const percent = Number(typed.replace(",", ".").replace("%", ""));
                const fits = typed.trim() !== "" && percent >= least && percent <= most;
                return fits ? undefined : `A percentage from ${least} to ${most}.`;
              }}
              onCommit={(typed) => put(index, { ...row, percent: Number(typed.replace(",", ".").replace("%", "")) })}
            />
            <IconButton
              name={`Take out ${title}: ${labelOf(row.key)}`}
              icon={Trash2}
              onPress={() => onChange(rows.filter((_, at) => at !== index))}
            />
          </View>
        </View>
      ))}
      {next ? (
        <Button
          label="Add a line"
          kind="quiet"
          icon={Plus}
          name={`Add a line to ${title}`}
          onPress={() => onChange([...rows, { key: next.value, percent: usual }])}
        />
      ) : null}
    </View>
  );
}
