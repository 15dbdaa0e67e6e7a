import { plural } from "@wide-porch/core";
import useSWR from "swr";
import { Notice } from "../components/Notice";
import { Body } from "../components/Text";
import { unsentHere } from "../device/whose";

const entriesText = (count: number): string => plural(count, "1 entry", `${count} entries`);

/** What was entered on this device and is not sent yet, and by whom: it goes out when they sign in here. */
export function UnsentHere() {
  const { data = [] } = useSWR("unsent here", unsentHere, { shouldRetryOnError: false });
  if (data.length === 0) return null;
  const whose = data.map(({ name, entries }) => `${entriesText(entries)} of ${name}`).join(", ");
  return (
    <Notice title="Not sent yet">
      <Body>{`On this device: ${whose}. They stay here, and are sent when whoever made them signs in again.`}</Body>
    </Notice>
  );
}
