import { zodResolver } from "@hookform/resolvers/zod";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import { z } from "zod";
import { ask } from "../api/client";
import { sessionSchema } from "../api/records";
import { beginSession } from "../api/session";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { CodeEntry } from "./CodeEntry";
import { asksForCode } from "./codeAsked";
import { EntryPage } from "./EntryPage";
import { passwordField } from "./fields";
import { LinkGone } from "./InvitationScreen";
import { linkToken } from "./linkToken";
import { NewPasswordEntry } from "./NewPasswordEntry";
import { useSending } from "./useSending";

/** A forgotten password set anew, by the link of a letter. */
export function NewPasswordScreen() {
  const [token] = useState(linkToken);
  const router = useRouter();
  const form = useForm({
    resolver: zodResolver(z.object({ password: passwordField, code: z.string().trim() })),
    defaultValues: { password: "", code: "" },
  });
  const [needsCode, setNeedsCode] = useState(false);
  const { submit, failure, busy } = useSending(form, async ({ password, code }) => {
    try {
      const body = { token, password, ...(code === "" ? {} : { code }) };
      await beginSession(await ask(sessionSchema, "POST", "/new-password", body));
      router.replace("/jobs" as Href);
    } catch (error) {
      if (needsCode || !asksForCode(error)) throw error;
      setNeedsCode(true);
    }
  });
  if (token === "") return <LinkGone message="The link was cut off. Copy all of it out of the letter." />;
  return (
    <EntryPage title="A new password" lead="Everybody who is signed in by the old one is signed out.">
      <View role="form" aria-label="A new password" className="gap-4">
        <NewPasswordEntry control={form.control} name="password" label="New password" onEnter={submit} />
        {needsCode ? <CodeEntry control={form.control} name="code" onEnter={submit} /> : null}
        <FailureNotice title="Not changed" failure={failure} />
        <Button label={busy ? "Changing" : "Change it and sign in"} disabled={busy} onPress={submit} />
      </View>
    </EntryPage>
  );
}
