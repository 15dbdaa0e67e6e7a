import { zodResolver } from "@hookform/resolvers/zod";
import { plural } from "@wide-porch/core";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { Image, View } from "react-native";
import useSWR, { mutate } from "swr";
import { z } from "zod";
import { ask, tell } from "../api/client";
import { recoveryCodesSchema, secondFactorBegunSchema, secondFactorSchema } from "../api/records";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { FormEntry } from "../components/FormEntry";
import { Notice } from "../components/Notice";
import { Body, Faint, Figure, Title } from "../components/Text";
import { Pending } from "../components/Waiting";
import { CodeEntry } from "./CodeEntry";
import { useSending } from "./useSending";

const AT = "/account/second-factor";
const passwordSchema = z.object({ password: z.string().min(1, "Type your password.") });
const codeSchema = z.object({ code: z.string().trim().min(1, "Type the code.") });
const OWN_PASSWORD = { secureTextEntry: true, autoComplete: "current-password" } as const;

type Begun = z.infer<typeof secondFactorBegunSchema>;

/** A second thing to sign in by, beside the password: a code that one's own phone shows. */
export function SecondFactor({ onDone }: { readonly onDone?: () => void }) {
  const state = useSWR(AT, () => ask(secondFactorSchema, "GET", AT));
  const [begun, setBegun] = useState<Begun>();
  const [codes, setCodes] = useState<readonly string[]>();
  const done = () => {
    setCodes(undefined);
    void mutate(AT);
    onDone?.();
  };
  if (!state.data) {
    return <Pending error={state.error} what="how you sign in" retry={() => void state.mutate()} />;
  }
  const take = (fresh: readonly string[]) => {
    setBegun(undefined);
    setCodes(fresh);
  };
  return (
    <View className="gap-3">
      <Title level={2}>Second factor</Title>
      {codes ? <RecoveryCodes codes={codes} onDone={done} /> : null}
      {!codes && begun ? <Scan begun={begun} onCodes={take} /> : null}
      {!codes && !begun && !state.data.on ? <Off asked={state.data.asked} onBegun={setBegun} /> : null}
      {!codes && !begun && state.data.on ? (
        <On left={state.data.recoveryCodesLeft} asked={state.data.asked} onCodes={take} />
      ) : null}
    </View>
  );
}

function Off({ asked, onBegun }: { readonly asked: boolean; readonly onBegun: (begun: Begun) => void }) {
  const form = useForm({ resolver: zodResolver(passwordSchema), defaultValues: { password: "" } });
  const { submit, failure, busy } = useSending(form, async (values) => {
    onBegun(await ask(secondFactorBegunSchema, "POST", AT, values));
  });
  return (
    <View role="form" aria-label="Set up a second factor" className="gap-3">
      <Body>
        {asked
          ? "Your company asks for it: a code that an authenticator on your phone shows, beside your password."
          : "Off. With it nobody signs in by your password alone: a code is asked for that an authenticator on your phone shows."}
      </Body>
      <FormEntry control={form.control} name="password" label="Your password" more={OWN_PASSWORD} onEnter={submit} />
      <FailureNotice title="Not set up" failure={failure} />
      <Button label={busy ? "Asking" : "Set it up"} kind="plain" disabled={busy} onPress={submit} />
    </View>
  );
}

type ScanProps = { readonly begun: Begun; readonly onCodes: (codes: readonly string[]) => void };

function Scan({ begun, onCodes }: ScanProps) {
  const form = useForm({ resolver: zodResolver(codeSchema), defaultValues: { code: "" } });
  const { submit, failure, busy } = useSending(form, async (values) => {
    onCodes((await ask(recoveryCodesSchema, "POST", `${AT}/confirm`, values)).recoveryCodes);
  });
  return (
    <View role="form" aria-label="Show a code" className="gap-3">
      <Body>Let an authenticator on your phone read this picture, or type the secret into it.</Body>
      <View className="self-start rounded-md bg-white p-2">
        <Image
          source={{ uri: begun.picture }}
          accessibilityLabel="The secret as a picture for an authenticator"
          style={{ width: 220, height: 220 }}
        />
      </View>
      <Faint>The secret</Faint>
      <Figure selectable className="text-base">
        {begun.secret.replace(/(.{4})(?=.)/g, "$1 ")}
      </Figure>
      <CodeEntry control={form.control} name="code" onEnter={submit} first />
      <FailureNotice title="Not yet" failure={failure} />
      <Button label={busy ? "Looking" : "Turn it on"} disabled={busy} onPress={submit} />
    </View>
  );
}

function RecoveryCodes({ codes, onDone }: { readonly codes: readonly string[]; readonly onDone: () => void }) {
  return (
    <Notice title="Write these down" tone="pine" live>
      <Body>Each lets you in once where the phone is lost. They are shown now, and not again.</Body>
      <View className="flex-row flex-wrap gap-x-6 gap-y-1">
        {codes.map((code) => (
          <Figure key={code} selectable className="text-base">
            {code}
          </Figure>
        ))}
      </View>
      <Button label="I have them" kind="plain" onPress={onDone} />
    </Notice>
  );
}

const offSchema = passwordSchema.extend(codeSchema.shape);

type OnProps = {
  readonly left: number;
  readonly asked: boolean;
  readonly onCodes: (codes: readonly string[]) => void;
};

function On({ left, asked, onCodes }: OnProps) {
  const [way, setWay] = useState<"none" | "codes" | "off">("none");
  const lefts = plural(left, "One recovery code is left.", `${left} recovery codes are left.`);
  return (
    <View className="gap-3">
      <Body>{`On. A code of your authenticator is asked for when you sign in. ${lefts}`}</Body>
      {left < 3 ? <Faint>Make new ones before they are used up.</Faint> : null}
      {way === "none" ? (
        <View className="flex-row flex-wrap gap-2">
          <Button label="New recovery codes" kind="plain" onPress={() => setWay("codes")} />
          <Button label={asked ? "Set it up anew" : "Turn it off"} kind="quiet" onPress={() => setWay("off")} />
        </View>
      ) : null}
      {way === "codes" ? <NewCodes onCodes={onCodes} /> : null}
      {way === "off" ? <TurnOff asked={asked} /> : null}
    </View>
  );
}

function NewCodes({ onCodes }: Pick<OnProps, "onCodes">) {
  const form = useForm({ resolver: zodResolver(passwordSchema), defaultValues: { password: "" } });
  const { submit, failure, busy } = useSending(form, async (values) => {
    onCodes((await ask(recoveryCodesSchema, "POST", `${AT}/recovery-codes`, values)).recoveryCodes);
  });
  return (
    <View role="form" aria-label="New recovery codes" className="gap-3">
      <FormEntry control={form.control} name="password" label="Your password" more={OWN_PASSWORD} onEnter={submit} />
      <FailureNotice title="Not made" failure={failure} />
      <Button label={busy ? "Making" : "Make new codes"} kind="plain" disabled={busy} onPress={submit} />
      <Faint>Those from before do not work any more.</Faint>
    </View>
  );
}

function TurnOff({ asked }: Pick<OnProps, "asked">) {
  const form = useForm({ resolver: zodResolver(offSchema), defaultValues: { password: "", code: "" } });
  const { submit, failure, busy } = useSending(form, async (values) => {
    await tell("POST", `${AT}/off`, values);
    await mutate(AT);
    if (asked) await mutate("/session");
  });
  return (
    <View role="form" aria-label="Turn the second factor off" className="gap-3">
      <FormEntry control={form.control} name="password" label="Your password" more={OWN_PASSWORD} onEnter={submit} />
      <CodeEntry control={form.control} name="code" onEnter={submit} />
      <FailureNotice title="Still on" failure={failure} />
      <Button
        label={busy ? "Turning off" : asked ? "Take this one out" : "Turn it off"}
        kind="plain"
        disabled={busy}
        onPress={submit}
      />
      {asked ? <Faint>Your company asks for one: you are asked to set up another at once.</Faint> : null}
    </View>
  );
}
