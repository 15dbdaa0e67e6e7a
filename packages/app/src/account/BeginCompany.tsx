import { zodResolver } from "@hookform/resolvers/zod";
import { CURRENCIES, newJobSchema } from "@wide-porch/core";
import { useState } from "react";
import { Controller, useForm } from "react-hook-form";
import { View } from "react-native";
import { z } from "zod";
import { ask } from "../api/client";
import { maybeSessionSchema } from "../api/records";
import { beginSession } from "../api/session";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { FailureNotice } from "../components/FailureNotice";
import { FormEntry } from "../components/FormEntry";
import { EntryPage } from "./EntryPage";
import { EMAIL_KEYS, emailField, nameField, passwordField } from "./fields";
import { LookAtMail } from "./LookAtMail";
import { NewPasswordEntry } from "./NewPasswordEntry";
import { SYSTEMS } from "./systems";
import { useSending } from "./useSending";

const formSchema = z.object({
  companyName: nameField,
  name: nameField,
  email: emailField,
  password: passwordField,
  system: newJobSchema.shape.system,
  currency: newJobSchema.shape.currency,
});

const ownTimeZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC";

type Props = { readonly first: boolean; readonly letters: string | null; readonly onBack: () => void };

/** A company with its owner. `first`: there is nobody here yet. */
export function BeginCompany({ first, letters, onBack }: Props) {
  const [sentTo, setSentTo] = useState<string>();
  const form = useForm<z.infer<typeof formSchema>>({
    resolver: zodResolver(formSchema),
    defaultValues: { companyName: "", name: "", email: "", password: "", system: "imperial", currency: "USD" },
  });
  const { submit, failure, busy } = useSending(form, async (values) => {
    const body = { ...values, timeZone: ownTimeZone() };
    const { session } = await ask(maybeSessionSchema, "POST", "/companies", body);
    if (session) await beginSession(session);
    else setSentTo(values.email);
  });
  const { control } = form;
  if (sentTo !== undefined) return <LookAtMail title="Your own company" email={sentTo} letters={letters} />;
  return (
    <EntryPage
      title={first ? "Set up" : "Your own company"}
      lead={
        first
          ? "Nobody is here yet. Begin with your company; you are its owner, and invite the others."
          : "You are its owner, and invite the others. It starts with assemblies and a price list to make your own."
      }
    >
      <View role="form" aria-label="Your company" className="gap-4">
        <FormEntry control={control} name="companyName" label="Company" onEnter={submit} />
        <FormEntry control={control} name="name" label="Your name" onEnter={submit} more={{ autoComplete: "name" }} />
        <FormEntry control={control} name="email" label="Email" onEnter={submit} more={EMAIL_KEYS} />
        <NewPasswordEntry control={control} name="password" label="Password" onEnter={submit} />
        <Controller
          control={control}
          name="system"
          render={({ field }) => (
            <Choice label="Most jobs are measured in" options={SYSTEMS} value={field.value} onChange={field.onChange} />
          )}
        />
        <Controller
          control={control}
          name="currency"
          render={({ field }) => (
            <Choice
              label="Most jobs are priced in"
              options={CURRENCIES.map((value) => ({ value, label: value }))}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        <FailureNotice title="The company was not begun" failure={failure} />
        <Button label={busy ? "Beginning" : "Begin"} name="Begin the company" disabled={busy} onPress={submit} />
        {first ? null : <Button label="Back to signing in" kind="quiet" onPress={onBack} />}
      </View>
    </EntryPage>
  );
}
