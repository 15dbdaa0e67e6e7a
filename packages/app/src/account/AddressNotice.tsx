import { useState } from "react";
import { tell } from "../api/client";
import type { Session } from "../api/records";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { Notice } from "../components/Notice";
import { Body } from "../components/Text";
import { useAttempt } from "../components/useAttempt";

/** Nobody has shown yet that letters to the address arrive: without that a forgotten password cannot be set anew. */
export function AddressNotice({ session }: { readonly session: Session }) {
  const [sent, setSent] = useState(false);
  const { failure, attempt } = useAttempt();
  const { email, addressConfirmed } = session.user;
  if (addressConfirmed) return null;
  const send = () =>
    void attempt(async () => {
      await tell("POST", "/account/confirm-address");
      setSent(true);
    });
  return (
    <Notice title="Your address is not confirmed">
      <Body>
        {sent
          ? `A letter is on its way to ${email}. Press its link, then load this page anew.`
          : `A letter went to ${email}. Until you press its link a forgotten password cannot be set anew.`}
      </Body>
      <FailureNotice title="Not sent" failure={failure} />
      {sent ? null : <Button label="Send it again" kind="plain" onPress={send} />}
    </Notice>
  );
}
