import { plural } from "@wide-porch/core";
import { formatDistanceToNow } from "date-fns/formatDistanceToNow";
import { useState } from "react";
import { Pressable, ScrollView, View } from "react-native";
import useSWR, { mutate } from "swr";
import { ask, tell } from "../api/client";
import { type Invitation, type Person, peopleSchema } from "../api/records";
import { isOwner, useSession } from "../api/session";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { Notice } from "../components/Notice";
import { PageBar } from "../components/PageBar";
import { Body, Faint, Strong, Title } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { Pending } from "../components/Waiting";
import { Plus } from "../icons";
import { InviteSheet } from "./InviteSheet";
import { PersonSheet } from "./PersonSheet";
import { PEOPLE } from "./peopleKey";
import { ROLE_WORDS } from "./roleWords";

/** The company's people, for its owners: who there is, who is asked in, and who has left. */
export function PeopleScreen() {
  const session = useSession().data;
  if (!session) return null;
  return (
    <View className="min-h-0 flex-1">
      <PageBar title="People" backName="Back to the company" backTo="/company" />
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-xl gap-5 p-4 pb-16"
      >
        {isOwner(session) ? (
          <People own={session.user.id} />
        ) : (
          <Notice title="For owners">
            <Body>Only an owner of the company sees its people.</Body>
          </Notice>
        )}
      </ScrollView>
    </View>
  );
}

function People({ own }: { own: string }) {
  const people = useSWR(PEOPLE, () => ask(peopleSchema, "GET", PEOPLE));
  const [inviting, setInviting] = useState(false);
  const [open, setOpen] = useState<string>();
  if (!people.data) return <Pending error={people.error} what="the people" retry={() => void people.mutate()} />;
  const { items, invitations } = people.data;
  const here = items.filter(({ leftAt }) => leftAt === null);
  const left = items.filter(({ leftAt }) => leftAt !== null);
  const chosen = items.find(({ id }) => id === open);
  return (
    <>
      <Button label="Invite somebody" icon={Plus} onPress={() => setInviting(true)} />
      <View>
        {here.map((person) => (
          <PersonRow key={person.id} person={person} own={person.id === own} onPress={() => setOpen(person.id)} />
        ))}
      </View>
      {here.length === 1 && invitations.length === 0 ? (
        <Body>Nobody else yet. Crew measure and see what to cut, and no costs; estimators see and change prices.</Body>
      ) : null}
      <Invitations invitations={invitations} />
      {left.length > 0 ? (
        <View>
          <Title level={2}>Taken out</Title>
          {left.map((person) => (
            <PersonRow key={person.id} person={person} own={false} onPress={() => setOpen(person.id)} />
          ))}
        </View>
      ) : null}
      <InviteSheet open={inviting} onClose={() => setInviting(false)} />
      {chosen ? <PersonSheet person={chosen} own={chosen.id === own} onClose={() => setOpen(undefined)} /> : null}
    </>
  );
}

function seenText({ devices, seenAt, leftAt }: Person): string {
  if (leftAt !== null) return `taken out ${formatDistanceToNow(new Date(leftAt), { addSuffix: true })}`;
  if (devices === 0 || seenAt === null) return "signed in nowhere";
  const where = plural(devices, "on one device", `on ${devices} devices`);
  return `${where}, seen ${formatDistanceToNow(new Date(seenAt), { addSuffix: true })}`;
}

type RowProps = { readonly person: Person; readonly own: boolean; readonly onPress: () => void };

const PersonRow = ({ person, own, onPress }: RowProps) => (
  <Pressable
    role="button"
    aria-label={`${person.name}, ${ROLE_WORDS[person.role]}, ${seenText(person)}`}
    aria-haspopup="dialog"
    onPress={onPress}
    className="min-h-14 justify-center border-b border-rule py-2 active:bg-pine-wash"
  >
    <Strong>{own ? `${person.name} (you)` : person.name}</Strong>
    <Faint>{`${ROLE_WORDS[person.role]}${person.secondFactor ? ", with a second factor" : ""}, ${seenText(person)}`}</Faint>
  </Pressable>
);

function Invitations({ invitations }: { invitations: readonly Invitation[] }) {
  const { failure, attempt } = useAttempt();
  if (invitations.length === 0) return null;
  const takeBack = (id: string) =>
    void attempt(() => tell("DELETE", `/invitations/${id}`)).finally(() => void mutate(PEOPLE));
  return (
    <View>
      <Title level={2}>Asked in</Title>
      {invitations.map(({ id, name, email, role, expiresAt }) => (
        <View key={id} className="min-h-14 flex-row items-center justify-between gap-2 border-b border-rule py-2">
          <View className="min-w-0 flex-1">
            <Strong>{name}</Strong>
            <Faint>{`${email}, ${ROLE_WORDS[role]}, open for ${formatDistanceToNow(new Date(expiresAt))}`}</Faint>
          </View>
          <Button
            label="Take back"
            name={`Take back the invitation of ${name}`}
            kind="plain"
            onPress={() => takeBack(id)}
          />
        </View>
      ))}
      <FailureNotice title="Not taken back" failure={failure} />
    </View>
  );
}
