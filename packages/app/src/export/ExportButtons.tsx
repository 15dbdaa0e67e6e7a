import { type Table, toCsv } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Warning } from "../components/Text";
import { Download } from "../icons";
import { useJob } from "../job/JobContext";
import { fileName, saveFile } from "./saveFile";

type Props = { readonly make: () => Table; readonly what: string };

/** A list as a file: CSV for anything, XLSX for a spreadsheet. */
export function ExportButtons({ make, what }: Props) {
  const { record } = useJob("record");
  const [failure, setFailure] = useState<string>();
  const nameFor = (ending: string) => fileName(`${record.job.title} ${what}`, ending);
  const csv = () => saveFile(new Blob([toCsv(make())], { type: "text/csv;charset=utf-8" }), nameFor("csv"));
  const xlsx = async () => {
    setFailure(undefined);
    try {
      const { tableToXlsx } = await import("./xlsx");
      saveFile(await tableToXlsx(make()), nameFor("xlsx"));
    } catch (error) {
      setFailure(`The spreadsheet could not be made: ${error instanceof Error ? error.message : String(error)}`);
    }
  };
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <Button label="CSV" kind="plain" icon={Download} name={`Download the ${what} as CSV`} onPress={csv} />
        <Button
          label="XLSX"
          kind="plain"
          icon={Download}
          name={`Download the ${what} as XLSX`}
          onPress={() => void xlsx()}
        />
      </View>
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}
