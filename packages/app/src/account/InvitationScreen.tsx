import { zodResolver } from "@hookform/resolvers/zod";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import useSWR from "swr";
import { z } from "zod";
import { ApiProblem, ask } from "../api/client";
import { invitedSchema, maybeSessionSchema, setUpSchema } from "../api/records";
import { beginSession } from "../api/session";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { FormEntry } from "../components/FormEntry";
import { Notice } from "../components/Notice";
import { Pending } from "../components/Waiting";
import { EntryPage } from "./EntryPage";
import { nameField, passwordField } from "./fields";
import { LookAtMail } from "./LookAtMail";
import { linkToken } from "./linkToken";
import { NewPasswordEntry } from "./NewPasswordEntry";
import { ROLE_WORDS } from "./roleWords";
import { useSending } from "./useSending";

/** Coming into a company by the link of an invitation. */
export function InvitationScreen() {
  const [token] = useState(linkToken);
  const invited = useSWR(["invitation", token], () => ask(invitedSchema, "POST", "/invitation", { token }), {
    shouldRetryOnError: false,
    revalidateOnFocus: false,
    revalidateOnReconnect: false,
  });
  if (invited.data) return <Accept token={token} {...invited.data} />;
  if (invited.error instanceof ApiProblem) return <LinkGone message={invited.error.message} />;
  return <Pending error={invited.error} what="the invitation" retry={() => void invited.mutate()} />;
}

export function LinkGone({ message }: { message: string }) {
  const router = useRouter();
  return (
    <EntryPage title="This link does not work" lead="Links in letters work once, and not for ever.">
      <Notice title="Nothing was changed">{message}</Notice>
      <Button label="Go to the sign-in page" kind="plain" onPress={() => router.replace("/jobs" as Href)} />
    </EntryPage>
  );
}

const formSchema = z.object({ name: nameField, password: passwordField });

type Invited = z.infer<typeof invitedSchema> & { readonly token: string };

function Accept({ token, company, name, email, role }: Invited) {
  const router = useRouter();
  const [asked, setAsked] = useState(false);
  const setUp = useSWR(asked ? "/set-up" : null, () => ask(setUpSchema, "GET", "/set-up"), {
    shouldRetryOnError: false,
  });
  const form = useForm({ resolver: zodResolver(formSchema), defaultValues: { name, password: "" } });
  const { submit, failure, busy } = useSending(form, async (values) => {
    const { session } = await ask(maybeSessionSchema, "POST", "/invitation/accept", { token, ...values });
    if (!session) {
      setAsked(true);
      return;
    }
    await beginSession(session);
    router.replace("/jobs" as Href);
  });
  const { control } = form;
  if (asked) return <LookAtMail title={company} email={email} letters={setUp.data?.letters ?? null} />;
  return (
    <EntryPage
      title={`Come into ${company}`}
      lead={`As ${role === "crew" ? "crew, without costs" : `its ${ROLE_WORDS[role]}`}. You sign in with ${email}.`}
    >
      <View role="form" aria-label="Come in" className="gap-4">
        <FormEntry control={control} name="name" label="Your name" onEnter={submit} more={{ autoComplete: "name" }} />
        <NewPasswordEntry control={control} name="password" label="Choose a password" onEnter={submit} />
        <FailureNotice title="Not yet" failure={failure} />
        <Button label={busy ? "Coming in" : "Come in"} disabled={busy} onPress={submit} />
      </View>
    </EntryPage>
  );
}
