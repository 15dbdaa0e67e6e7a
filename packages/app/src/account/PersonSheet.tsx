import { useState } from "react";
import { View } from "react-native";
import { mutate } from "swr";
import type { z } from "zod";
import { ask } from "../api/client";
import { erasedSchema, type Person, peopleChangedSchema, type peopleSchema } from "../api/records";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { FailureNotice } from "../components/FailureNotice";
import { Notice } from "../components/Notice";
import { Sheet } from "../components/Sheet";
import { Body, Faint } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { PEOPLE } from "./peopleKey";
import { ROLES, type Role } from "./roleWords";

type Props = { readonly person: Person; readonly own: boolean; readonly onClose: () => void };
type People = z.infer<typeof peopleSchema>;

/** What an owner does with a person: role, devices, out and back, and their data. */
export function PersonSheet({ person, own, onClose }: Props) {
  const { failure, attempt } = useAttempt();
  const [kept, setKept] = useState<readonly string[]>();
  const at = `${PEOPLE}/${person.id}`;
  const take = (asking: Promise<{ readonly items: readonly Person[] }>) =>
    attempt(async () => {
      const { items } = await asking;
      await mutate(PEOPLE, (before?: People) => before && { ...before, items: [...items] }, { revalidate: false });
    });
  const change = (body: object) => void take(ask(peopleChangedSchema, "PATCH", at, body));
  const erase = async () => {
    const erased = await ask(erasedSchema, "POST", `${at}/erase`);
    setKept(erased.kept);
    return erased;
  };
  return (
    <Sheet open onClose={onClose} title={person.name}>
      <Body>{person.email}</Body>
      <FailureNotice title="Not changed" failure={failure} />
      {person.leftAt === null ? (
        <Inside
          person={person}
          own={own}
          onRole={(role) => change({ role })}
          onSignOut={() => void take(ask(peopleChangedSchema, "DELETE", `${at}/sessions`))}
          onOut={() => change({ left: true })}
          onSecondFactor={() => void take(ask(peopleChangedSchema, "DELETE", `${at}/second-factor`))}
        />
      ) : (
        <Outside onBack={() => change({ left: false })} onErase={() => void take(erase())} />
      )}
      {kept ? (
        <Notice title="Their data was taken out. What stays:" tone="pine" live>
          <Body>
            {kept.map((line) => (
              <Body key={line}>{line}</Body>
            ))}
          </Body>
        </Notice>
      ) : null}
    </Sheet>
  );
}

type InsideProps = {
  readonly person: Person;
  readonly own: boolean;
  readonly onRole: (role: Role) => void;
  readonly onSignOut: () => void;
  readonly onOut: () => void;
  readonly onSecondFactor: () => void;
};

function Inside({ person, own, onRole, onSignOut, onOut, onSecondFactor }: InsideProps) {
  const [sure, setSure] = useState(false);
  return (
    <View className="gap-4">
      <Choice label="Role" options={ROLES} value={person.role} onChange={onRole} />
      <View className="gap-1">
        <Button
          label={own ? "Sign out my other devices" : "Sign out on every device"}
          kind="plain"
          disabled={person.devices === 0}
          onPress={onSignOut}
        />
        <Faint>
          {person.devices === 0
            ? "Signed in nowhere."
            : "For a lost phone: what it has not sent stays on it, and needs the password."}
        </Faint>
      </View>
      {person.secondFactor && !own ? (
        <View className="gap-1">
          <Button label="Take their second factor out" kind="plain" onPress={onSecondFactor} />
          <Faint>For a lost phone whose recovery codes are lost too. They are told by a letter.</Faint>
        </View>
      ) : null}
      {sure ? (
        <Notice title={`Take ${person.name} out?`}>
          <Body>
            They are signed out everywhere and cannot sign in. What they entered stays, and they can be brought back.
          </Body>
          <Button label="Take them out" kind="plain" onPress={onOut} />
        </Notice>
      ) : (
        <Button label="Take out of the company" kind="quiet" onPress={() => setSure(true)} />
      )}
    </View>
  );
}

function Outside({ onBack, onErase }: { readonly onBack: () => void; readonly onErase: () => void }) {
  const [sure, setSure] = useState(false);
  return (
    <View className="gap-4">
      <Button label="Bring back" kind="plain" onPress={onBack} />
      {sure ? (
        <Notice title="Take their data out?">
          <Body>Name, address, password and devices go for good. What they measured stays, by nobody's name.</Body>
          <Button label="Take the data out" kind="plain" onPress={onErase} />
        </Notice>
      ) : (
        <Button label="Take their data out" kind="quiet" onPress={() => setSure(true)} />
      )}
    </View>
  );
}
