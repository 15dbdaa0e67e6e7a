import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { Controller, useForm } from "react-hook-form";
import { Pressable, ScrollView, View } from "react-native";
import useSWR from "swr";
import { z } from "zod";
import { ask } from "../api/client";
import { demoPeopleSchema } from "../api/records";
import { signIn } from "../api/session";
import { Button } from "../components/Button";
import { Notice } from "../components/Notice";
import { Body, Faint, Strong, Title } from "../components/Text";
import { TextField } from "../components/TextField";

const formSchema = z.object({
  email: z.string().trim().min(1, "Type your address."),
  password: z.string().min(1, "Type your password."),
});

export function SignIn() {
  const { control, handleSubmit } = useForm({
    resolver: zodResolver(formSchema),
    defaultValues: { email: "", password: "" },
  });
  const [failure, setFailure] = useState<string>();
  const [busy, setBusy] = useState(false);
  const enter = async (email: string, password: string) => {
    setBusy(true);
    setFailure(undefined);
    try {
      await signIn(email, password);
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
      setBusy(false);
    }
  };
  const submit = handleSubmit(({ email, password }) => enter(email, password));
  return (
    <ScrollView role="main" contentContainerClassName="mx-auto w-full max-w-md gap-5 p-6 pt-12">
      <View className="gap-1">
        <Title className="text-4xl leading-[48px] text-pine">Wide Porch</Title>
        <Body>Measure it, count it, price it, quote it.</Body>
      </View>
      <View role="form" aria-label="Sign in" className="gap-4">
        <Controller
          control={control}
          name="email"
          render={({ field, fieldState }) => (
            <TextField
              label="Email"
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              autoCapitalize="none"
              autoComplete="email"
              inputMode="email"
              problem={fieldState.error?.message}
            />
          )}
        />
        <Controller
          control={control}
          name="password"
          render={({ field, fieldState }) => (
            <TextField
              label="Password"
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              secureTextEntry
              autoComplete="current-password"
              onSubmitEditing={() => void submit()}
              problem={fieldState.error?.message}
            />
          )}
        />
        {failure ? (
          <Notice title="Not signed in" live>
            {failure}
          </Notice>
        ) : null}
        <Button label={busy ? "Signing in" : "Sign in"} disabled={busy} onPress={() => void submit()} />
      </View>
      <DemoPeople onChoose={(email, password) => void enter(email, password)} />
    </ScrollView>
  );
}

const ROLE_WORDS = { owner: "owner", estimator: "estimator", crew: "crew lead, sees no costs" };

function DemoPeople({ onChoose }: { onChoose: (email: string, password: string) => void }) {
  const { data } = useSWR("/demo-people", () => ask(demoPeopleSchema, "GET", "/demo-people"));
  if (!data || data.items.length === 0) return null;
  return (
    <View className="gap-2 border-t border-rule pt-4">
      <Title level={2}>Or look round as</Title>
      <Faint>Fernhollow Building is invented, with its people, prices and jobs.</Faint>
      {data.items.map((person) => (
        <Pressable
          key={person.email}
          role="button"
          aria-label={`Sign in as ${person.name}, ${ROLE_WORDS[person.role]}`}
          onPress={() => onChoose(person.email, person.password)}
          className="min-h-14 justify-center rounded-md border border-rule bg-sheet px-4 active:bg-pine-wash"
        >
          <Strong>{person.name}</Strong>
          <Faint>{ROLE_WORDS[person.role]}</Faint>
        </Pressable>
      ))}
    </View>
  );
}
