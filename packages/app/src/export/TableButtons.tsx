import { type Table, toCsv } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Warning } from "../components/Text";
import { Download } from "../icons";
import { fileName, saveFile } from "./saveFile";

type Props = {
  readonly make: () => Table;
  /** What it is called in the buttons' names. */
  readonly what: string;
  /** What the file is called. */
  readonly title: string;
};

/** A list as a file: CSV for anything, XLSX for a spreadsheet. */
export function TableButtons({ make, what, title }: Props) {
  const [failure, setFailure] = useState<string>();
  const csv = () => saveFile(new Blob([toCsv(make())], { type: "text/csv;charset=utf-8" }), fileName(title, "csv"));
  const xlsx = async () => {
    setFailure(undefined);
    try {
      const { tableToXlsx } = await import("./xlsx");
      saveFile(await tableToXlsx(make()), fileName(title, "xlsx"));
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
