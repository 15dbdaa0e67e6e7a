import type { ReportTable } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import { ask } from "../../api/client";
import { roofReportListSchema, roofReportSchema } from "../../api/records";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { FileButton } from "../../components/FileButton";
import { Faint, Title, Warning } from "../../components/Text";
import { reckoner } from "../../worker/reckoner";

const SENT_AS = [
  { value: "json", label: "JSON" },
  { value: "csv", label: "CSV" },
] as const;

type Props = { readonly onRead: (table: ReportTable) => void };

/** A report of the measuring service, or one from a file. */
export function ChooseReport({ onRead }: Props) {
  const list = useSWR("/roof-reports", (path: string) => ask(roofReportListSchema, "GET", path));
  const [as, setAs] = useState<"json" | "csv">("json");
  const [problem, setProblem] = useState<string>();
  const read = async (text: () => Promise<string>) => {
    setProblem(undefined);
    try {
      const found = await reckoner().readReport(await text());
      if (found.ok) onRead(found.table);
      else setProblem(found.message);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const fetchReport = async (id: string) =>
    (await ask(roofReportSchema, "GET", `/roof-reports/${encodeURIComponent(id)}?as=${as}`)).text;
  return (
    <View className="gap-3">
      <Title level={3}>From the measuring service</Title>
      <Choice label="Sent as" options={SENT_AS} value={as} onChange={setAs} />
      {list.isLoading ? <Faint>Asking what reports there are</Faint> : null}
      {list.error ? <Warning>{list.error instanceof Error ? list.error.message : String(list.error)}</Warning> : null}
      {list.data?.items.length === 0 ? <Faint>It has none.</Faint> : null}
      {list.data?.items.map(({ id, title, made }) => (
        <View key={id} className="gap-1">
          <Button label={title} kind="plain" onPress={() => void read(() => fetchReport(id))} />
          <Faint>{`${id}, measured ${made}`}</Faint>
        </View>
      ))}
      <Title level={3}>From a file</Title>
      <View className="flex-row">
        <FileButton
          label="Read a CSV or JSON file"
          name="Report file"
          accept=".csv,.json,text/csv,application/json"
          onFile={(file) => void read(() => file.text())}
        />
      </View>
      {problem ? <Warning role="alert">{`${problem} Nothing was changed.`}</Warning> : null}
    </View>
  );
}
