import { zodResolver } from "@hookform/resolvers/zod";
import { CURRENCIES, newJobSchema, plainProfile } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { Controller, useForm } from "react-hook-form";
import { ScrollView, View } from "react-native";
import { mutate } from "swr";
import type { z } from "zod";
import { SYSTEMS } from "../account/systems";
import { askOnce } from "../api/askOnce";
import { jobRecordSchema } from "../api/records";
import { useSession } from "../api/session";
import { Button, IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { FormEntry } from "../components/FormEntry";
import { Notice } from "../components/Notice";
import { Title } from "../components/Text";
import { ChevronLeft } from "../icons";
import { StartFrom } from "./StartFrom";

type Form = z.input<typeof newJobSchema>;

const WAYS = [
  { value: "measured", label: "By measuring" },
  { value: "typed", label: "By typing costs" },
  { value: "from", label: "From another job" },
] as const;
type Way = (typeof WAYS)[number]["value"];

export function NewJobScreen() {
  const router = useRouter();
  const { system, currency } = useSession().data?.company.profile ?? plainProfile;
  const { control, handleSubmit, formState } = useForm<Form>({
    resolver: zodResolver(newJobSchema),
    defaultValues: { title: "", customerName: "", site: "", system, currency },
  });
  const [failure, setFailure] = useState<string>();
  const [way, setWay] = useState<Way>("measured");
  const submit = handleSubmit(async (form) => {
    setFailure(undefined);
    try {
      const record = await askOnce(jobRecordSchema, "POST", "/jobs", form);
      await mutate((key) => typeof key === "string" && key.startsWith("/jobs?"));
      router.replace(`/jobs/${record.id}/${way === "typed" ? "price/worksheet?type=1" : "measure"}` as Href);
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  });
  return (
    <View className="min-h-0 flex-1">
      <View role="banner" className="flex-row items-center border-b border-rule py-1 pl-1">
        <IconButton name="Back to jobs" icon={ChevronLeft} onPress={() => router.replace("/jobs")} />
        <Title>Start a job</Title>
      </View>
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-xl gap-5 p-4 pb-10"
      >
        <Choice label="Start" options={WAYS} value={way} onChange={setWay} />
        {way === "from" ? <StartFrom /> : null}
        {way === "from" ? null : (
          <>
            <FormEntry control={control} name="title" label="What is the job?" />
            <FormEntry control={control} name="customerName" label="Customer" />
            <FormEntry control={control} name="site" label="Site" />
            <Controller
              control={control}
              name="system"
              render={({ field }) => (
                <Choice label="Measuring system" value={field.value} onChange={field.onChange} options={SYSTEMS} />
              )}
            />
            <Controller
              control={control}
              name="currency"
              render={({ field }) => (
                <Choice
                  label="Currency"
                  value={field.value}
                  onChange={field.onChange}
                  options={CURRENCIES.map((currency) => ({ value: currency, label: currency }))}
                />
              )}
            />
            {failure ? (
              <Notice title="The job was not started" live>
                {failure}
              </Notice>
            ) : null}
            <Button
              label={formState.isSubmitting ? "Starting" : way === "typed" ? "Start typing" : "Start measuring"}
              disabled={formState.isSubmitting}
              onPress={() => void submit()}
            />
          </>
        )}
      </ScrollView>
    </View>
  );
}
