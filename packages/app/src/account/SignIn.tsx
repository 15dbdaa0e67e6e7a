import { zodResolver } from "@hookform/resolvers/zod";
import { lazy, useState } from "react";
import { useForm } from "react-hook-form";
import { Pressable, View } from "react-native";
import useSWR from "swr";
import { z } from "zod";
import { ask } from "../api/client";
import { demoPeopleSchema, setUpSchema } from "../api/records";
import { signIn } from "../api/session";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { FormEntry } from "../components/FormEntry";
import { LoadedPage } from "../components/LoadedPage";
import { Faint, Strong, Title } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { CodeEntry } from "./CodeEntry";
import { asksForCode } from "./codeAsked";
import { EntryPage } from "./EntryPage";
import { EMAIL_KEYS } from "./fields";
import { LettersLink } from "./LettersLink";
import { ROLE_WORDS } from "./roleWords";
import { UnsentHere } from "./UnsentHere";
import { useSending } from "./useSending";

const BeginCompany = lazy(() => import("./BeginCompany").then((page) => ({ default: page.BeginCompany })));
const Forgotten = lazy(() => import("./Forgotten").then((page) => ({ default: page.Forgotten })));

/** What is no address signs nobody in: the server says so. */
const formSchema = z.object({
  email: z.string().trim().min(1, "Type your address."),
  password: z.string().min(1, "Type your password."),
  /** Asked for once the password was right, of those who have a second factor. */
  code: z.string().trim(),
});

type Way = "sign-in" | "begin" | "forgotten";

/** The way in: signing in, a password that was forgotten, or a company of one's own. */
export function SignIn() {
  const [way, setWay] = useState<Way>("sign-in");
  const setUp = useSWR("/set-up", () => ask(setUpSchema, "GET", "/set-up"), { shouldRetryOnError: false });
  const back = () => setWay("sign-in");
  if (way === "begin" || setUp.data?.first) {
    return (
      <LoadedPage>
        <BeginCompany first={setUp.data?.first ?? false} letters={setUp.data?.letters ?? null} onBack={back} />
      </LoadedPage>
    );
  }
  if (way === "forgotten") {
    return (
      <LoadedPage>
        <Forgotten letters={setUp.data?.letters ?? null} onBack={back} />
      </LoadedPage>
    );
  }
  return (
    <EntryPage lead="Measure it, count it, price it, quote it.">
      <UnsentHere />
      <PasswordForm onForgotten={() => setWay("forgotten")} />
      {setUp.data?.open ? (
        <View className="gap-2 border-t border-rule pt-4">
          <Button label="Begin with your own company" kind="plain" onPress={() => setWay("begin")} />
        </View>
      ) : null}
      <DemoPeople />
      <LettersLink letters={setUp.data?.letters ?? null} />
    </EntryPage>
  );
}

function PasswordForm({ onForgotten }: { onForgotten: () => void }) {
  const [needsCode, setNeedsCode] = useState(false);
  const form = useForm({ resolver: zodResolver(formSchema), defaultValues: { email: "", password: "", code: "" } });
  const { submit, failure, busy } = useSending(form, async ({ email, password, code }) => {
    try {
      await signIn(email, password, code);
    } catch (error) {
      if (needsCode || !asksForCode(error)) throw error;
      setNeedsCode(true);
    }
  });
  const { control } = form;
  return (
    <View role="form" aria-label="Sign in" className="gap-4">
      <FormEntry control={control} name="email" label="Email" more={EMAIL_KEYS} onEnter={submit} />
      <FormEntry
        control={control}
        name="password"
        label="Password"
        more={{ secureTextEntry: true, autoComplete: "current-password" }}
        onEnter={submit}
      />
      {needsCode ? <CodeEntry control={control} name="code" onEnter={submit} /> : null}
      <FailureNotice title="Not signed in" failure={failure} />
      <Button label={busy ? "Signing in" : "Sign in"} disabled={busy} onPress={submit} />
      <Button label="Forgotten?" kind="quiet" onPress={onForgotten} />
    </View>
  );
}

function DemoPeople() {
  const { failure, attempt } = useAttempt();
  const { data } = useSWR("/demo-people", () => ask(demoPeopleSchema, "GET", "/demo-people"));
  if (!data || data.items.length === 0) return null;
  const enter = (email: string, password: string) => void attempt(() => signIn(email, password));
  return (
    <View className="gap-2 border-t border-rule pt-4">
      <Title level={2}>Or look round as</Title>
      <Faint>Fernhollow Building is invented, with its people, prices and jobs.</Faint>
      <FailureNotice title="Not signed in" failure={failure} />
      {data.items.map((person) => (
        <Pressable
          key={person.email}
          role="button"
          aria-label={`Sign in as ${person.name}, ${ROLE_WORDS[person.role]}`}
          onPress={() => enter(person.email, person.password)}
          className="min-h-14 justify-center rounded-md border border-rule bg-sheet px-4 active:bg-pine-wash"
        >
          <Strong>{person.name}</Strong>
          <Faint>{ROLE_WORDS[person.role]}</Faint>
        </Pressable>
      ))}
    </View>
  );
}
