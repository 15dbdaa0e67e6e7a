import { zodResolver } from "@hookform/resolvers/zod";
import { plural } from "@wide-porch/core";
import { formatDistanceToNow } from "date-fns/formatDistanceToNow";
import { useState, useSyncExternalStore } from "react";
import { useForm } from "react-hook-form";
import { ScrollView, View } from "react-native";
import useSWR, { mutate } from "swr";
import { z } from "zod";
import { ask, tell } from "../api/client";
import { deviceListSchema, type Session, type SignedInDevice, sessionSchema } from "../api/records";
import { refreshSession, signOut, useSession } from "../api/session";
import { Button } from "../components/Button";
import { CommitField } from "../components/CommitField";
import { FailureNotice } from "../components/FailureNotice";
import { FormEntry } from "../components/FormEntry";
import { Notice } from "../components/Notice";
import { PageBar } from "../components/PageBar";
import { Body, Faint, Strong, Title } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { Pending } from "../components/Waiting";
import { LogOut } from "../icons";
import { outbox } from "../sync/outboxInstance";
import { AddressNotice } from "./AddressNotice";
import { deviceName } from "./deviceName";
import { nameField, passwordField } from "./fields";
import { NewPasswordEntry } from "./NewPasswordEntry";
import { ROLE_WORDS } from "./roleWords";
import { SecondFactor } from "./SecondFactor";
import { useSending } from "./useSending";

const DEVICES = "/account/sessions";

/** What somebody changes about themselves: name, password, and where they are signed in. */
export function AccountScreen() {
  const session = useSession().data;
  if (!session) return null;
  const { user, company } = session;
  return (
    <View className="min-h-0 flex-1">
      <PageBar title="You" backName="Back to jobs" backTo="/jobs" />
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-xl gap-6 p-4 pb-16"
      >
        <View className="gap-3">
          <Name session={session} />
          <Body>{`${user.email}, ${ROLE_WORDS[user.role]} at ${company.name}`}</Body>
        </View>
        <AddressNotice session={session} />
        <Leaving />
        <Devices />
        {company.demo ? (
          <Faint>The people of the demo keep the password that everybody knows, and no second factor.</Faint>
        ) : (
          <>
            <SecondFactor />
            <PasswordForm />
          </>
        )}
      </ScrollView>
    </View>
  );
}

function Name({ session }: { session: Session }) {
  const { failure, attempt } = useAttempt();
  const commit = (name: string) =>
    void attempt(async () => refreshSession(await ask(sessionSchema, "PATCH", "/account", { name })));
  return (
    <>
      <CommitField
        label="Your name"
        value={session.user.name}
        check={(text) => nameField.safeParse(text).error?.issues[0]?.message}
        onCommit={commit}
      />
      <FailureNotice title="Not changed" failure={failure} />
    </>
  );
}

function Leaving() {
  const { commands } = useSyncExternalStore(outbox.subscribe, outbox.read, outbox.read);
  return (
    <View className="gap-2">
      {commands.length > 0 ? (
        <Notice title="Not everything is sent">
          <Body>{`${plural(commands.length, "One entry is", `${commands.length} entries are`)} on this device only. Signing out leaves them here; they are sent when you sign in again.`}</Body>
        </Notice>
      ) : null}
      <Button label="Sign out on this device" kind="plain" icon={LogOut} onPress={() => void signOut()} />
    </View>
  );
}

function Devices() {
  const devices = useSWR(DEVICES, () => ask(deviceListSchema, "GET", DEVICES));
  if (!devices.data) return <Pending error={devices.error} what="your devices" retry={() => void devices.mutate()} />;
  return (
    <View className="gap-1">
      <Title level={2}>Where you are signed in</Title>
      {devices.data.items.map((each) => (
        <DeviceRow key={each.id} device={each} />
      ))}
    </View>
  );
}

function DeviceRow({ device }: { device: SignedInDevice }) {
  const { failure, attempt } = useAttempt();
  const name = deviceName(device.device);
  const end = () =>
    void attempt(async () => {
      await tell("DELETE", `${DEVICES}/${device.id}`);
      await mutate(DEVICES);
    });
  const seen = device.own ? "this device" : `seen ${formatDistanceToNow(new Date(device.seenAt), { addSuffix: true })}`;
  return (
    <View className="border-b border-rule py-2">
      <View className="min-h-12 flex-row items-center justify-between gap-2">
        <View className="min-w-0 flex-1">
          <Strong>{name}</Strong>
          <Faint>{`${seen}, signed in ${formatDistanceToNow(new Date(device.since), { addSuffix: true })}`}</Faint>
        </View>
        {device.own ? null : <Button label="Sign out" name={`Sign out ${name}`} kind="plain" onPress={end} />}
      </View>
      <FailureNotice title="Not signed out" failure={failure} />
    </View>
  );
}

const formSchema = z.object({ password: z.string().min(1, "Type the password you have now."), next: passwordField });

function PasswordForm() {
  const [done, setDone] = useState(false);
  const form = useForm({ resolver: zodResolver(formSchema), defaultValues: { password: "", next: "" } });
  const { submit, failure, busy } = useSending(form, async (values) => {
    setDone(false);
    await tell("POST", "/account/password", values);
    form.reset();
    setDone(true);
    await mutate(DEVICES);
  });
  const { control } = form;
  return (
    <View role="form" aria-label="Another password" className="gap-3">
      <Title level={2}>Another password</Title>
      <FormEntry
        control={control}
        name="password"
        label="The one you have now"
        more={{ secureTextEntry: true, autoComplete: "current-password" }}
        onEnter={submit}
      />
      <NewPasswordEntry control={control} name="next" label="The new one" onEnter={submit} />
      <FailureNotice title="Not changed" failure={failure} />
      {done ? (
        <Notice title="Changed" tone="pine" live>
          <Body>Everywhere else you are signed out.</Body>
        </Notice>
      ) : null}
      <Button label={busy ? "Changing" : "Change the password"} kind="plain" disabled={busy} onPress={submit} />
    </View>
  );
}
