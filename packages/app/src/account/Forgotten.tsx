import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import { z } from "zod";
import { tell } from "../api/client";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { FormEntry } from "../components/FormEntry";
import { Notice } from "../components/Notice";
import { Body } from "../components/Text";
import { EntryPage } from "./EntryPage";
import { EMAIL_KEYS, emailField } from "./fields";
import { LettersLink } from "./LettersLink";
import { useSending } from "./useSending";

type Props = { readonly letters: string | null; readonly onBack: () => void };

/** A link for a new password, by mail. It is not said whether there is such a person. */
export function Forgotten({ letters, onBack }: Props) {
  const [sentTo, setSentTo] = useState<string>();
  const form = useForm({ resolver: zodResolver(z.object({ email: emailField })), defaultValues: { email: "" } });
  const { submit, failure, busy } = useSending(form, async ({ email }) => {
    await tell("POST", "/forgotten", { email });
    setSentTo(email);
  });
  return (
    <EntryPage title="A new password" lead="A link is sent to the address that you sign in with.">
      {sentTo ? (
        <Notice title="Look at your mail" tone="pine" live>
          <Body>{`If somebody signs in with ${sentTo}, a letter is on its way there. Its link works once, within an hour.`}</Body>
        </Notice>
      ) : (
        <View role="form" aria-label="A new password" className="gap-4">
          <FormEntry control={form.control} name="email" label="Email" more={EMAIL_KEYS} onEnter={submit} />
          <FailureNotice title="Not sent" failure={failure} />
          <Button label={busy ? "Sending" : "Send the link"} disabled={busy} onPress={submit} />
        </View>
      )}
      <Button label="Back to signing in" kind="quiet" onPress={onBack} />
      <LettersLink letters={letters} />
    </EntryPage>
  );
}
