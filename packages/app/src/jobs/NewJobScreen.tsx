import { zodResolver } from "@hookform/resolvers/zod";
import { CURRENCIES, newJobSchema } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { type Control, Controller, useForm } from "react-hook-form";
import { ScrollView, View } from "react-native";
import { mutate } from "swr";
import type { z } from "zod";
import { ask } from "../api/client";
import { jobRecordSchema } from "../api/records";
import { Button, IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { Notice } from "../components/Notice";
import { Title } from "../components/Text";
import { TextField } from "../components/TextField";
import { ChevronLeft } from "../icons";

type Form = z.input<typeof newJobSchema>;

export function NewJobScreen() {
  const router = useRouter();
  const { control, handleSubmit, formState } = useForm<Form>({
    resolver: zodResolver(newJobSchema),
    defaultValues: { title: "", customerName: "", site: "", system: "imperial", currency: "USD" },
  });
  const [failure, setFailure] = useState<string>();
  const submit = handleSubmit(async (form) => {
    setFailure(undefined);
    try {
      const record = await ask(jobRecordSchema, "POST", "/jobs", form);
      await mutate((key) => typeof key === "string" && key.startsWith("/jobs?"));
      router.replace(`/jobs/${record.id}/measure` as Href);
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
        <Entry control={control} name="title" label="What is the job?" />
        <Entry control={control} name="customerName" label="Customer" />
        <Entry control={control} name="site" label="Site" />
        <Controller
          control={control}
          name="system"
          render={({ field }) => (
            <Choice
              label="Measuring system"
              value={field.value}
              onChange={field.onChange}
              options={[
                { value: "imperial", label: "Feet and inches" },
                { value: "metric", label: "Metric" },
              ]}
            />
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
          label={formState.isSubmitting ? "Starting" : "Start measuring"}
          disabled={formState.isSubmitting}
          onPress={() => void submit()}
        />
      </ScrollView>
    </View>
  );
}

function Entry({
  control,
  name,
  label,
}: {
  control: Control<Form>;
  name: "title" | "customerName" | "site";
  label: string;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          label={label}
          value={field.value}
          onChangeText={field.onChange}
          onBlur={field.onBlur}
          problem={fieldState.error?.message}
        />
      )}
    />
  );
}
