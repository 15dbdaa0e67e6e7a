import type { ReportTable } from "@wide-porch/core";
import { useRef, useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import { ask } from "../../api/client";
import { roofReportListSchema, roofReportSchema } from "../../api/records";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Faint, Title, Warning } from "../../components/Text";
import { FileInput } from "../../icons";
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
  const input = useRef<HTMLInputElement>(null);
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
        <Button label="Read a CSV or JSON file" kind="quiet" icon={FileInput} onPress={() => input.current?.click()} />
      </View>
      <input
        ref={input}
        type="file"
        accept=".csv,.json,text/csv,application/json"
        aria-label="Report file"
        tabIndex={-1}
        style={{ display: "none" }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void read(() => file.text());
          event.target.value = "";
        }}
      />
      {problem ? <Warning role="alert">{`${problem} Nothing was changed.`}</Warning> : null}
    </View>
  );
}
