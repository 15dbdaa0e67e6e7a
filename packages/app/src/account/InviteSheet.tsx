import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { Controller, useForm } from "react-hook-form";
import { View } from "react-native";
import { mutate } from "swr";
import { z } from "zod";
import { ask } from "../api/client";
import { invitedAnswerSchema } from "../api/records";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { FailureNotice } from "../components/FailureNotice";
import { FormEntry } from "../components/FormEntry";
import { Notice } from "../components/Notice";
import { Sheet } from "../components/Sheet";
import { Body } from "../components/Text";
import { TextField } from "../components/TextField";
import { EMAIL_KEYS, emailField, nameField } from "./fields";
import { PEOPLE } from "./peopleKey";
import { ROLES } from "./roleWords";
import { useSending } from "./useSending";

const formSchema = z.object({ name: nameField, email: emailField, role: z.enum(["owner", "estimator", "crew"]) });
type Sent = z.infer<typeof invitedAnswerSchema>;

type Props = { readonly open: boolean; readonly onClose: () => void };

/** Asks somebody into the company: by mail, or by a link that is handed over in another way. */
export function InviteSheet({ open, onClose }: Props) {
  const [sent, setSent] = useState<Sent>();
  const close = () => {
    setSent(undefined);
    onClose();
  };
  return (
    <Sheet open={open} onClose={close} title={sent ? `${sent.invitation.name} is asked in` : "Invite somebody"}>
      {sent ? <LinkToHandOver sent={sent} /> : <InviteForm onSent={setSent} />}
    </Sheet>
  );
}

function InviteForm({ onSent }: { onSent: (sent: Sent) => void }) {
  const form = useForm<z.infer<typeof formSchema>>({
    resolver: zodResolver(formSchema),
    defaultValues: { name: "", email: "", role: "crew" },
  });
  const { submit, failure, busy } = useSending(form, async (values) => {
    onSent(await ask(invitedAnswerSchema, "POST", "/invitations", values));
    await mutate(PEOPLE);
  });
  const { control } = form;
  return (
    <View role="form" aria-label="Invite somebody" className="gap-4">
      <FormEntry control={control} name="name" label="Name" onEnter={submit} />
      <FormEntry control={control} name="email" label="Email" onEnter={submit} more={EMAIL_KEYS} />
      <Controller
        control={control}
        name="role"
        render={({ field }) => <Choice label="As" options={ROLES} value={field.value} onChange={field.onChange} />}
      />
      <FailureNotice title="Nobody was invited" failure={failure} />
      <Button label={busy ? "Inviting" : "Invite"} disabled={busy} onPress={submit} />
    </View>
  );
}

function LinkToHandOver({ sent: { link, mailed, invitation } }: { sent: Sent }) {
  const [copied, setCopied] = useState(false);
  const copy = () => {
    navigator.clipboard
      ?.writeText(link)
      .then(() => setCopied(true))
      .catch(() => setCopied(false));
  };
  return (
    <View className="gap-3">
      {mailed ? (
        <Body>{`A letter is on its way to ${invitation.email}. The link can be handed over as well:`}</Body>
      ) : (
        <Notice title="The letter could not be sent" live>
          <Body>Hand the link over yourself, by a message or by a note.</Body>
        </Notice>
      )}
      <TextField label="Link" value={link} readOnly selectTextOnFocus multiline className="min-h-24" />
      <Button label={copied ? "Copied" : "Copy the link"} kind="plain" onPress={copy} />
      <Body>It works once, for 14 days. Inviting the same address again makes another, and ends this one.</Body>
    </View>
  );
}
