import { zodResolver } from "@hookform/resolvers/zod";
import { newJobSchema, type Part, withNamed } from "@wide-porch/core";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import { mutate } from "swr";
import type { z } from "zod";
import { askOnce } from "../api/askOnce";
import { jobRecordSchema } from "../api/records";
import { Button } from "../components/Button";
import { CheckRow } from "../components/CheckRow";
import { Choice } from "../components/Choice";
import { Folded } from "../components/Folded";
import { FormEntry } from "../components/FormEntry";
import { Faint, Warning } from "../components/Text";
import { openAnotherJob } from "./openAnotherJob";

const formSchema = newJobSchema.pick({ title: true, customerName: true, site: true });
type Form = z.input<typeof formSchema>;

type Props = {
  readonly jobId: string;
  readonly start: Form;
  /** Those that can be chosen among; none where the whole is copied without looking. */
  readonly parts: readonly Part[];
  readonly hasTyped: boolean;
};

const FOR = [
  { value: "open", label: "The next job" },
  { value: "template", label: "A template" },
] as const;

/** A job as the start of another, whole or in parts: quantities follow what is measured there. */
export function CopyJob({ jobId, start, parts, hasTyped }: Props) {
  const { control, handleSubmit, formState } = useForm<Form>({
    resolver: zodResolver(formSchema),
    defaultValues: start,
  });
  const [shelf, setShelf] = useState<"open" | "template">("open");
  const [typed, setTyped] = useState(true);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [failure, setFailure] = useState<string>();
  const chosen = parts.filter(({ id }) => !left.has(id)).map(({ id }) => id);
  const partIds = left.size === 0 ? null : chosen;
  const along = withNamed(parts, partIds).filter(({ id }) => left.has(id));
  const turn = (id: string) =>
    setLeft((before) => {
      const next = new Set(before);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const copy = handleSubmit(async (form) => {
    setFailure(undefined);
    try {
      const made = await askOnce(jobRecordSchema, "POST", `/jobs/${jobId}/copies`, { ...form, partIds, shelf, typed });
      await mutate((key) => typeof key === "string" && key.startsWith("/jobs?"));
      openAnotherJob(made.id);
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  });
  return (
    <View className="gap-4">
      <Choice label="As the start of" options={FOR} value={shelf} onChange={setShelf} />
      <FormEntry control={control} name="title" label="What is the job?" />
      <FormEntry control={control} name="customerName" label="Customer" />
      <FormEntry control={control} name="site" label="Site" />
      {parts.length > 0 ? (
        <Folded title="Parts" under={`${chosen.length} of ${parts.length}`}>
          <View>
            {parts.map(({ id, name, location }) => (
              <CheckRow key={id} label={name} under={location} checked={!left.has(id)} onTurn={() => turn(id)} />
            ))}
          </View>
        </Folded>
      ) : null}
      {along.length > 0 ? (
        <Faint role="status">{`Come along, as others are nothing without them: ${along.map(({ name }) => name).join(", ")}.`}</Faint>
      ) : null}
      {hasTyped ? <CheckRow label="Costs that were typed in" checked={typed} onTurn={() => setTyped(!typed)} /> : null}
      <Faint>It starts at today's prices. Photos, a typed price and what became of this job stay here.</Faint>
      {failure ? <Warning role="alert">{failure}</Warning> : null}
      <Button
        label={formState.isSubmitting ? "Copying" : "Copy it"}
        disabled={formState.isSubmitting || chosen.length + Number(parts.length === 0) === 0}
        onPress={() => void copy()}
      />
    </View>
  );
}
