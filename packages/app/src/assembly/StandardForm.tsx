import type { HouseStandard } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { askOnce } from "../api/askOnce";
import { ApiProblem } from "../api/client";
import { standardRecordSchema } from "../api/records";
import { Button } from "../components/Button";
import { Faint, Title, Warning } from "../components/Text";
import { PercentRows } from "./PercentRows";
import { StandardDefaults } from "./StandardDefaults";
import { useStandardOptions, useStandards } from "./standards";
import { Tables } from "./Tables";
import { UsualStandard } from "./UsualStandard";

type FormProps = { readonly stored: HouseStandard; readonly base: number; readonly mayChange: boolean };

/** One standard: changed here, and saved as its next version. */
export function StandardForm({ stored, base, mayChange }: FormProps) {
  const list = useStandards();
  const [draft, setDraft] = useState(stored);
  const [failure, setFailure] = useState<string>();
  const { wasteOptions, taskOptions } = useStandardOptions(draft.system);
  const changed = draft !== stored || base === 0;
  const save = async () => {
    setFailure(undefined);
    try {
      const body = { baseVersion: base, standard: draft };
      await askOnce(standardRecordSchema, "PUT", `/standards/${draft.system}/${draft.id}`, body);
      await list.mutate();
    } catch (error) {
      setFailure(failureWords(error));
    }
  };
  return (
    <View role="form" aria-label={draft.name} className="gap-3 rounded-md border border-rule bg-sheet p-3">
      <View className="flex-row items-center justify-between gap-2">
        <Title level={2}>{draft.name}</Title>
        <Faint>{base === 0 ? "not saved yet" : `version ${base}`}</Faint>
      </View>
      {base > 0 ? <UsualStandard standard={stored} mayChange={mayChange} /> : null}
      <StandardDefaults draft={draft} onChange={setDraft} />
      <PercentRows
        title="Waste on what is bought"
        words="Added to what is counted. An item's own line goes before its group's."
        rows={draft.waste.map((each) => ({ key: each.item, percent: each.percent }))}
        options={wasteOptions}
        usual={5}
        least={0}
        most={100}
        onChange={(rows) => setDraft({ ...draft, waste: rows.map(({ key, percent }) => ({ item: key, percent })) })}
      />
      <PercentRows
        title="Hours in percent of the usual"
        words="100 is as usual, 125 a quarter more. A task's own line goes before the one for all."
        rows={draft.productivity.map((each) => ({ key: each.task, percent: each.percent }))}
        options={taskOptions}
        usual={100}
        least={1}
        most={1000}
        onChange={(rows) =>
          setDraft({ ...draft, productivity: rows.map(({ key, percent }) => ({ task: key, percent })) })
        }
      />
      <Tables
        title="Tables"
        words="Every assembly can look values up here. One stands in place of an assembly's own table of the same name: your own lintels."
        tables={draft.tables}
        system={draft.system}
        onChange={(tables) => setDraft({ ...draft, tables })}
      />
      {mayChange ? (
        <Button
          label={`Save version ${base + 1}`}
          name={`Save version ${base + 1} of ${draft.name}`}
          disabled={!changed}
          onPress={() => void save()}
        />
      ) : null}
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}

function failureWords(error: unknown): string {
  if (error instanceof ApiProblem && error.status === 409) {
    return "Somebody saved a newer version meanwhile. Reload the page, and make your changes on that one.";
  }
  return error instanceof Error ? `It could not be saved: ${error.message}` : String(error);
}
