import type { JobShelf } from "@wide-porch/core";
import { useDeferredValue, useState } from "react";
import { Pressable, View } from "react-native";
import useSWR from "swr";
import { ask } from "../api/client";
import { type JobListItem, jobListSchema } from "../api/records";
import { Body, Faint, Strong, Warning } from "../components/Text";
import { TextField } from "../components/TextField";

/** As many as one looks through; the rest are found by their words. */
const MOST_SHOWN = 30;
const MOST_LETTERS = 160;

type Props = {
  readonly label: string;
  readonly shelf?: JobShelf;
  /** The job that is not offered: the one that is open. */
  readonly without?: string;
  /** Said where there is none. */
  readonly none?: string;
  /** Why a job cannot be chosen; undefined for one that can. */
  readonly refusal?: (record: JobListItem) => string | undefined;
  readonly onChoose: (record: JobListItem) => void;
};

/** One of the company's jobs, found by its words. */
export function JobPicker({ label, shelf = "open", without, none = "None is found.", refusal, onChoose }: Props) {
  const [typed, setTyped] = useState("");
  const find = useDeferredValue(typed.trim().slice(0, MOST_LETTERS));
  const jobs = useSWR(`/jobs?perPage=${MOST_SHOWN}&shelf=${shelf}&find=${encodeURIComponent(find)}`, (path: string) =>
    ask(jobListSchema, "GET", path),
  );
  const offered = jobs.data?.items.filter(({ id }) => id !== without);
  const failure: unknown = jobs.error;
  return (
    <View className="gap-2">
      <TextField label={label} value={typed} onChangeText={setTyped} />
      {failure ? <Warning role="alert">{failure instanceof Error ? failure.message : String(failure)}</Warning> : null}
      {offered?.length === 0 ? <Body>{none}</Body> : null}
      {offered?.map((record) => {
        const why = refusal?.(record);
        return (
          <Pressable
            key={record.id}
            role="button"
            disabled={why !== undefined}
            onPress={() => onChoose(record)}
            className={`min-h-12 border-b border-rule py-1 active:bg-pine-wash ${why === undefined ? "" : "opacity-60"}`}
          >
            <Strong>{record.job.title}</Strong>
            <Faint>{why ?? record.job.customerName}</Faint>
          </Pressable>
        );
      })}
    </View>
  );
}
