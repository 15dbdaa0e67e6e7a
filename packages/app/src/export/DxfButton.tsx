import type { Drawing } from "@wide-porch/core";
import { useState } from "react";
import { Button } from "../components/Button";
import { Warning } from "../components/Text";
import { Download } from "../icons";
import { useJob } from "../job/JobContext";
import { fileName, saveFile } from "./saveFile";

type Props = {
  /** Drawn when it is asked for. */
  readonly drawing: () => Drawing;
  readonly name: string;
};

/** A drawing as DXF, for whatever opens drawings. */
export function DxfButton({ drawing: draw, name }: Props) {
  const { record } = useJob("record");
  const [failure, setFailure] = useState<string>();
  const save = async () => {
    setFailure(undefined);
    try {
      const { elevationToDxf, planToDxf } = await import("./dxf");
      const { system } = record.job;
      const drawing = draw();
      if (drawing.kind === "none") return;
      const text = drawing.kind === "plan" ? planToDxf(drawing, system) : elevationToDxf(drawing, system);
      saveFile(new Blob([text], { type: "image/vnd.dxf" }), fileName(`${record.job.title} ${name}`, "dxf"));
    } catch (error) {
      setFailure(`The drawing could not be made: ${error instanceof Error ? error.message : String(error)}`);
    }
  };
  return (
    <>
      <Button label="DXF" kind="plain" icon={Download} name={`Download ${name} as DXF`} onPress={() => void save()} />
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </>
  );
}
