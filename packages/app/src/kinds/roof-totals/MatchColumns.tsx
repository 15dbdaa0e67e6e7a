import { REPORT_FIELDS, REPORT_UNITS, type ReportField, type ReportMatch, type ReportTable } from "@wide-porch/core";
import { View } from "react-native";
import { Picker } from "../../components/Picker";
import { Faint, Title } from "../../components/Text";

type Props = {
  readonly table: ReportTable;
  readonly match: ReportMatch;
  readonly onChange: (match: ReportMatch) => void;
};

const NOT_THERE = "";

/** Which column of a report is which figure, and in what unit. */
export function MatchColumns({ table, match, onChange }: Props) {
  return (
    <View className="gap-3">
      <Title level={3}>Its columns</Title>
      <Faint>Matched once: the next report with these columns is read alike.</Faint>
      {REPORT_FIELDS.map((of) => (
        <OneColumn key={of.field} of={of} table={table} match={match} onChange={onChange} />
      ))}
    </View>
  );
}

function OneColumn({ of, table, match, onChange }: Props & { readonly of: ReportField }) {
  const { field, label, measure } = of;
  const now = match[field];
  const units = REPORT_UNITS[measure];
  const choose = (column: string) => {
    const { [field]: _, ...others } = match;
    onChange(
      column === NOT_THERE ? others : { ...others, [field]: { column, unit: now?.unit ?? units[0]?.unit ?? "" } },
    );
  };
  const options = [
    { value: NOT_THERE, label: "Not in it" },
    ...table.columns.map((column, index) => ({ value: column, label: column, under: table.rows[0]?.[index] ?? "" })),
  ];
  return (
    <View className="gap-1">
      <Faint>{label}</Faint>
      <View className="flex-row gap-2">
        <View className="min-w-0 flex-1">
          <Picker label={`Column of ${label}`} options={options} value={now?.column ?? NOT_THERE} onChange={choose} />
        </View>
        {now ? (
          <View className="w-36">
            <Picker
              label={`Unit of ${label}`}
              options={units.map(({ unit, label: words }) => ({ value: unit, label: words }))}
              value={now.unit}
              onChange={(unit) => onChange({ ...match, [field]: { ...now, unit } })}
            />
          </View>
        ) : null}
      </View>
    </View>
  );
}
