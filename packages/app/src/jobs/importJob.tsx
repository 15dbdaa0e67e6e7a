import { mutate } from "swr";
import { askOnce } from "../api/askOnce";
import { ApiProblem } from "../api/client";
import { jobRecordSchema } from "../api/records";
import { Notice } from "../components/Notice";
import { Body } from "../components/Text";

export type ImportFailure = { readonly fileName: string; readonly lines: readonly string[] };

const SHOWN = 8;

function linesOf(error: unknown): string[] {
  if (!(error instanceof ApiProblem) || error.problems.length === 0) {
    return [error instanceof Error ? error.message : String(error)];
  }
  const lines = error.problems
    .slice(0, SHOWN)
    .map((each) => (each.path ? `${each.path}: ${each.message}` : each.message));
  const more = error.problems.length - SHOWN;
  return more > 0 ? [...lines, `and ${more} more`] : lines;
}

/** Sends a job file to the server. Resolves to the new job's id, or to why nothing was brought in. */
export async function importJobFile(file: File): Promise<string | ImportFailure> {
  let data: unknown;
  try {
    data = JSON.parse(await file.text());
  } catch (error) {
    return {
      fileName: file.name,
      lines: [`It is not a JSON file: ${error instanceof Error ? error.message : String(error)}`],
    };
  }
  try {
    const record = await askOnce(jobRecordSchema, "POST", "/job-files", data);
    await mutate((key) => typeof key === "string" && key.startsWith("/jobs?"));
    return record.id;
  } catch (error) {
    return { fileName: file.name, lines: linesOf(error) };
  }
}

export function ImportProblems({ failure }: { failure: ImportFailure }) {
  return (
    <Notice title={`${failure.fileName} was not brought in, and nothing was changed`} live>
      {failure.lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
    </Notice>
  );
}
