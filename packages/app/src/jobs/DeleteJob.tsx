import { plural } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { mutate } from "swr";
import { tell } from "../api/client";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { Notice } from "../components/Notice";
import { Body } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { Trash2 } from "../icons";
import { useOutbox } from "../job/JobContext";
import { newId } from "../sync/newId";

type Props = { readonly jobId: string; readonly title: string };

/** Takes a job out of everybody's sight; what is kept, and for how long, is said first. */
export function DeleteJob({ jobId, title }: Props) {
  const [sure, setSure] = useState(false);
  const { failure, attempt } = useAttempt();
  const router = useRouter();
  const unsent = useOutbox().commands.filter((each) => each.jobId === jobId).length;
  const remove = () =>
    void attempt(async () => {
      await tell("POST", `/jobs/${jobId}/bin`, { commandId: newId() });
      router.replace("/jobs" as Href);
      await mutate((key) => typeof key === "string" && (key.startsWith("/jobs?") || key === "/deleted-jobs"));
    });
  if (!sure) return <Button label="Delete this job" kind="quiet" icon={Trash2} onPress={() => setSure(true)} />;
  return (
    <Notice title={`Delete “${title}”?`} live>
      <Body>
        Nobody in the company sees it any more. It can be restored for 30 days from the list of jobs; then it is gone,
        with its photos and its issued quotes.
      </Body>
      {unsent > 0 ? (
        <Body>{`${plural(unsent, "One entry", `${unsent} entries`)} of it on this device ${plural(unsent, "is", "are")} not sent yet.`}</Body>
      ) : null}
      <FailureNotice title="Not deleted" failure={failure} />
      <Button label="Delete the job" kind="plain" onPress={remove} />
      <Button label="Cancel" kind="quiet" onPress={() => setSure(false)} />
    </Notice>
  );
}
