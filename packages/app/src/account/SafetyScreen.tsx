import { pluralOf, soMany } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { ScrollView, View } from "react-native";
import useSWR, { mutate } from "swr";
import { ask } from "../api/client";
import { type Safety, safetySchema } from "../api/records";
import { isOwner, useSession } from "../api/session";
import { CheckRow } from "../components/CheckRow";
import { FailureNotice } from "../components/FailureNotice";
import { Notice } from "../components/Notice";
import { PageBar } from "../components/PageBar";
import { Picker } from "../components/Picker";
import { Body, Faint, Strong, Title } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { Pending } from "../components/Waiting";
import { useWide } from "../theme/useWide";
import { fullness, roomText } from "./roomText";

const AT = "/company/safety";

/** How people of the company sign in, for how long, and how much room the company has; for its owners. */
export function SafetyScreen() {
  const session = useSession().data;
  if (!session) return null;
  return (
    <View className="min-h-0 flex-1">
      <PageBar title="Safety" backName="Back to the company" backTo="/company" />
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-5xl gap-6 p-4 pb-16"
      >
        {isOwner(session) ? (
          <Loaded />
        ) : (
          <Notice title="For owners">
            <Body>Only an owner of the company sees and changes this.</Body>
          </Notice>
        )}
      </ScrollView>
    </View>
  );
}

type Change = Partial<Pick<Safety, "secondFactorForAll" | "idleHours" | "longestDays">>;

function Loaded() {
  const safety = useSWR(AT, () => ask(safetySchema, "GET", AT));
  const wide = useWide();
  const { failure, attempt } = useAttempt();
  const change = (wanted: Change) =>
    void attempt(async () => {
      await mutate(AT, await ask(safetySchema, "PATCH", AT, wanted), { revalidate: false });
    });
  if (!safety.data) return <Pending error={safety.error} what="this" retry={() => void safety.mutate()} />;
  const { data } = safety;
  return (
    <View className={wide ? "flex-row gap-10" : "gap-6"}>
      <View className={`gap-5 ${wide ? "min-w-0 flex-1" : ""}`}>
        <Title level={2}>Signing in</Title>
        <FailureNotice title="Not changed" failure={failure} />
        <CheckRow
          label="Everybody has a second factor"
          under="a code of an authenticator, beside the password"
          checked={data.secondFactorForAll}
          onTurn={() => change({ secondFactorForAll: !data.secondFactorForAll })}
        />
        <Picker
          labelled
          label="Signed out after so long without a visit"
          value={String(data.idleHours)}
          options={optionsOf(IDLE_HOURS, data.server.idleHours, data.idleHours, hoursText)}
          onChange={(value) => change({ idleHours: value === "null" ? null : Number(value) })}
        />
        <Picker
          labelled
          label="Signed out in any case after"
          value={String(data.longestDays)}
          options={optionsOf(LONGEST_DAYS, data.server.longestDays, data.longestDays, (days) => hoursText(days * 24))}
          onChange={(value) => change({ longestDays: value === "null" ? null : Number(value) })}
        />
        <Faint>It holds for everybody from their next visit. Entries that are not sent stay on their device.</Faint>
        <Link href={"/log" as Href} className="min-h-12 py-3">
          <Strong className="text-pine underline">The log: who did what, and when</Strong>
        </Link>
      </View>
      <View className={`gap-3 ${wide ? "w-[380px]" : ""}`}>
        <Room usage={data.usage} />
      </View>
    </View>
  );
}

const IDLE_HOURS: readonly number[] = [1, 4, 12, 24, 72, 168, 336];
const LONGEST_DAYS: readonly number[] = [1, 7, 14, 30];

const counted = (count: number, word: string): string => soMany(count, word, pluralOf(word));
const hoursText = (hours: number): string =>
  hours % 24 === 0 && hours >= 24 ? counted(hours / 24, "day") : counted(hours, "hour");

/** Shorter than the server's own; with whatever was set otherwise. */
function optionsOf(usual: readonly number[], server: number, now: number | null, text: (value: number) => string) {
  const values = [...new Set([...usual.filter((each) => each < server), ...(now === null ? [] : [now])])];
  return [
    ...values.toSorted((a, b) => a - b).map((value) => ({ value: String(value), label: text(value) })),
    { value: "null", label: text(server), under: "as for everybody on this server" },
  ];
}

function Room({ usage }: { readonly usage: Safety["usage"] }) {
  return (
    <>
      <Title level={2}>Room</Title>
      {(["jobs", "items", "photos", "photoBytes"] as const).map((what) => {
        const { name, text } = roomText(what, usage[what]);
        const full = fullness(usage[what]);
        return (
          <View key={what} className="gap-1 border-b border-rule py-2">
            <Strong>{name}</Strong>
            <Body className="figures">{text}</Body>
            {full === "soon" ? <Faint className="text-clay">Nearly all of it is taken.</Faint> : null}
            {full === "full" ? (
              <Faint className="text-clay">All of it is taken: nothing more can be added.</Faint>
            ) : null}
          </View>
        );
      })}
      <Faint>Deleted jobs take room until they are gone for good.</Faint>
    </>
  );
}
