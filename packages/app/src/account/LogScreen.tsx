import { format } from "date-fns/format";
import { useState } from "react";
import { ScrollView, View } from "react-native";
import useSWRInfinite from "swr/infinite";
import type { z } from "zod";
import { ask } from "../api/client";
import { eventsSchema, type LogLine } from "../api/records";
import { isOwner, useSession } from "../api/session";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Notice } from "../components/Notice";
import { PageBar } from "../components/PageBar";
import { Body, Faint, Strong } from "../components/Text";
import { Pending } from "../components/Waiting";
import { useWide } from "../theme/useWide";
import { deviceName } from "./deviceName";
import { eventWords, LOG_GROUPS } from "./eventWords";

/** Who signed in, changed roles, took data away, issued or deleted: when, and where from. */
export function LogScreen() {
  const session = useSession().data;
  if (!session) return null;
  return (
    <View className="min-h-0 flex-1">
      <PageBar title="Log" backName="Back to safety" backTo="/safety" />
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-5xl gap-5 p-4 pb-16"
      >
        {isOwner(session) ? (
          <Lines />
        ) : (
          <Notice title="For owners">
            <Body>Only an owner of the company sees its log.</Body>
          </Notice>
        )}
      </ScrollView>
    </View>
  );
}

type LogPage = z.infer<typeof eventsSchema>;

function Lines() {
  const [group, setGroup] = useState<string>("");
  const pathOf = (index: number, before: LogPage | null) => {
    if (index > 0 && !before?.more) return null;
    const last = before?.items.at(-1)?.id;
    return `/events?of=${group}${last === undefined ? "" : `&before=${last}`}`;
  };
  const pages = useSWRInfinite(pathOf, (path: string) => ask(eventsSchema, "GET", path));
  const lines = pages.data?.flatMap(({ items }) => items);
  return (
    <>
      <Choice label="Shown" options={LOG_GROUPS} value={group} onChange={setGroup} />
      {lines ? (
        <View role="list" aria-label="Log">
          {lines.length === 0 ? <Body>Nothing yet.</Body> : null}
          {lines.map((line) => (
            <Line key={line.id} line={line} />
          ))}
        </View>
      ) : (
        <Pending error={pages.error} what="the log" retry={() => void pages.mutate()} />
      )}
      {pages.data?.at(-1)?.more ? (
        <Button label="Earlier" kind="plain" onPress={() => void pages.setSize(pages.size + 1)} />
      ) : null}
      <Faint>
        Kept for two years, apart from the server's own logs. Nothing in it is changed, but the name of somebody whose
        data is taken out.
      </Faint>
    </>
  );
}

function Line({ line: { at, what, who, place, device, about } }: { readonly line: LogLine }) {
  const wide = useWide();
  const where = [device === "" ? "" : deviceName(device), place].filter(Boolean).join(", ");
  const stands = what === "not-signed-in" || what === "signed-in-on-new-device";
  return (
    <View
      role="listitem"
      className={`border-b border-rule py-2 border-l-4 pl-3 ${stands ? "border-l-clay" : "border-l-transparent"} ${wide ? "flex-row gap-6" : "gap-0.5"}`}
    >
      <Faint className={`figures ${wide ? "w-40" : ""}`}>{format(new Date(at), "d MMM yyyy, HH:mm")}</Faint>
      <View className="min-w-0 flex-1">
        <Strong>{`${who} ${eventWords(what)}`.trim()}</Strong>
        {about === "" ? null : <Body>{about}</Body>}
      </View>
      {where === "" ? null : <Faint className={wide ? "w-72" : ""}>{where}</Faint>}
    </View>
  );
}
