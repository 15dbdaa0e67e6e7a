import { differenceName, differencesBetween, differenceText, type Part } from "@wide-porch/core";
import { formatDistanceToNow } from "date-fns/formatDistanceToNow";
import { useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import type { z } from "zod";
import { ask } from "../api/client";
import { type PartVersion, partHistorySchema } from "../api/records";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Strong } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { Pending } from "../components/Waiting";
import { askKept } from "../device/kept";
import { useJob } from "./JobContext";

const CHANGES_SHOWN = 6;

const WAYS: Record<PartVersion["how"], string> = {
  saved: "saved",
  binned: "put in the bin",
  "set-aside": "set aside when another version was chosen",
};

/** Every version of a part with who made it and when, and the way back to any of them. */
export function HistorySheet({ part, onClose }: { readonly part: Part; readonly onClose: () => void }) {
  const { jobId, savePart } = useJob("jobId", "savePart");
  const path = `/jobs/${jobId}/parts/${part.id}/history`;
  const history = useSWR(path, () => askKept(partHistorySchema, path, path), { revalidateOnMount: true });
  const [older, setOlder] = useState<z.infer<typeof partHistorySchema>>();
  const { failure, attempt } = useAttempt();
  const items = history.data && [...history.data.items, ...(older?.items ?? [])];
  const more = older?.more ?? history.data?.more ?? false;
  const showOlder = () =>
    void attempt(async () => {
      const next = await ask(partHistorySchema, "GET", `${path}?before=${items?.at(-1)?.id ?? ""}`);
      setOlder({ more: next.more, items: [...(older?.items ?? []), ...next.items] });
    });
  const goBack = (version: PartVersion) => {
    savePart({ ...version.part, id: part.id });
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title={`History of ${part.name}`}>
      {items ? (
        items.map((version, index) => (
          <Version
            key={`${version.revision}/${version.at}/${version.how}`}
            version={version}
            before={items[index + 1]}
            isFirst={!more && index === items.length - 1}
            onGoBack={index === 0 && version.how === "saved" ? undefined : () => goBack(version)}
          />
        ))
      ) : (
        <Pending error={history.error} what="the history" retry={() => void history.mutate()} />
      )}
      <FailureNotice title="Not shown" failure={failure} />
      {more ? <Button label="Earlier versions" kind="plain" onPress={showOlder} /> : null}
    </Sheet>
  );
}

type VersionProps = {
  readonly version: PartVersion;
  readonly before: PartVersion | undefined;
  readonly isFirst: boolean;
  readonly onGoBack: (() => void) | undefined;
};

function Version({ version, before, isFirst, onGoBack }: VersionProps) {
  const { context } = useJob("context");
  const changes = before ? differencesBetween(undefined, version.part, before.part) : [];
  const when = formatDistanceToNow(new Date(version.at), { addSuffix: true });
  return (
    <View className="gap-1 border-b border-rule pb-3">
      <Strong>{version.by}</Strong>
      <Faint>{`${when}, ${WAYS[version.how]}`}</Faint>
      {changes.slice(0, CHANGES_SHOWN).map((each) => (
        <Body key={each.path} className="text-sm">
          {`${differenceName(each.path, version.part, before?.part ?? version.part, context)}: ${differenceText(each.path, version.part, each.theirs, context)} → ${differenceText(each.path, version.part, each.mine, context)}`}
        </Body>
      ))}
      {changes.length > CHANGES_SHOWN ? <Faint>{`and ${changes.length - CHANGES_SHOWN} more`}</Faint> : null}
      {isFirst ? <Faint>The first version kept</Faint> : null}
      {onGoBack ? <Button label="Go back to this" kind="quiet" className="self-start" onPress={onGoBack} /> : null}
    </View>
  );
}
