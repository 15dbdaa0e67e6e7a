import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { ask } from "../api/client";
import { maybeSessionSchema } from "../api/records";
import { beginSession } from "../api/session";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { Notice } from "../components/Notice";
import { Body, Faint } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { EntryPage } from "./EntryPage";
import { LinkGone } from "./InvitationScreen";
import { linkToken } from "./linkToken";

/** Answering a letter. It takes a press: programs that look at letters open their links by themselves. */
export function ConfirmScreen() {
  const [token] = useState(linkToken);
  const [done, setDone] = useState(false);
  const router = useRouter();
  const { failure, attempt } = useAttempt();
  const confirm = () =>
    void attempt(async () => {
      const { session } = await ask(maybeSessionSchema, "POST", "/confirm", { token });
      if (!session) {
        setDone(true);
        return;
      }
      await beginSession(session);
      router.replace("/jobs" as Href);
    });
  if (token === "") return <LinkGone message="The link was cut off. Copy all of it out of the letter." />;
  if (done) {
    return (
      <EntryPage title="Thank you" lead="Letters to your address reach you.">
        <Notice title="Your address counts" tone="pine" live>
          <Body>A forgotten password can be set anew by a letter to it.</Body>
        </Notice>
        <Button label="Go on" onPress={() => router.replace("/jobs" as Href)} />
      </EntryPage>
    );
  }
  return (
    <EntryPage
      title="Is this your address?"
      lead="You came here by the link of a letter. Is the address that it was sent to yours?"
    >
      <FailureNotice title="Not confirmed" failure={failure} />
      <Button label="Yes, it is mine" onPress={confirm} />
      <Faint>If you asked for nothing here, close this page: nothing happens, and the link ends by itself.</Faint>
    </EntryPage>
  );
}
