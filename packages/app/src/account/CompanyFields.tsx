import { CURRENCIES, isTimeZone } from "@wide-porch/core";
import { View } from "react-native";
import type { Company } from "../api/records";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { CommitField } from "../components/CommitField";
import { Title } from "../components/Text";
import { useChangeCompany } from "./changeCompany";
import { nameField } from "./fields";
import { SYSTEMS } from "./systems";

const atMost =
  (most: number) =>
  (text: string): string | undefined =>
    text.length > most ? `At most ${most} characters; this has ${text.length}.` : undefined;

const ownTimeZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC";

/** Name, address, how to reach it, and what a new job starts with. */
export function CompanyFields({ company: { name, address, profile } }: { readonly company: Company }) {
  const change = useChangeCompany();
  const zone = ownTimeZone();
  return (
    <View className="gap-4">
      <CommitField
        label="Company"
        value={name}
        check={(text) => nameField.safeParse(text).error?.issues[0]?.message}
        onCommit={(text) => change({ name: text })}
      />
      <CommitField
        label="Address"
        value={address}
        multiline
        check={atMost(400)}
        onCommit={(text) => change({ address: text })}
      />
      <CommitField
        label="Telephone"
        value={profile.phone}
        inputMode="tel"
        check={atMost(60)}
        onCommit={(phone) => change({ profile: { phone } })}
      />
      <CommitField
        label="Mail address on quotes"
        value={profile.email}
        inputMode="email"
        check={atMost(190)}
        onCommit={(email) => change({ profile: { email } })}
      />
      <CommitField
        label="Website"
        value={profile.website}
        inputMode="url"
        check={atMost(190)}
        onCommit={(website) => change({ profile: { website } })}
      />
      <Title level={2}>A new job starts with</Title>
      <Choice
        label="Measured in"
        options={SYSTEMS}
        value={profile.system}
        onChange={(system) => change({ profile: { system } })}
      />
      <Choice
        label="Priced in"
        options={CURRENCIES.map((value) => ({ value, label: value }))}
        value={profile.currency}
        onChange={(currency) => change({ profile: { currency } })}
      />
      <CommitField
        label="Time zone, for the day on a quote"
        value={profile.timeZone}
        check={(text) => (isTimeZone(text) ? undefined : "No such time zone is known: Europe/London is one.")}
        onCommit={(timeZone) => change({ profile: { timeZone } })}
      />
      {zone === profile.timeZone ? null : (
        <Button
          label={`Take this device's: ${zone}`}
          kind="plain"
          onPress={() => change({ profile: { timeZone: zone } })}
        />
      )}
    </View>
  );
}
