import { detailLines, draftQuote } from "@wide-porch/core";
import { format } from "date-fns/format";
import { useState } from "react";
import { ScrollView, View } from "react-native";
import useSWR from "swr";
import { ask, download } from "../api/client";
import { clockAheadMs } from "../api/clock";
import type { Session } from "../api/records";
import { quoteListSchema, quoteRecordSchema } from "../api/records";
import { useSession } from "../api/session";
import { Button } from "../components/Button";
import { Notice } from "../components/Notice";
import { Faint, Title } from "../components/Text";
import { Waiting } from "../components/Waiting";
import { Download, Stamp } from "../icons";
import { useJob, useOutbox } from "../job/JobContext";
import { NoCosts } from "../price/NoCosts";
import { newId } from "../sync/newId";
import { syncState } from "../sync/outbox";
import { useWide } from "../theme/useWide";
import { IssuedQuotes } from "./IssuedQuotes";
import { PaperPage } from "./PaperPage";
import { QuoteSettingsForm } from "./QuoteSettingsForm";

/** The day it is where the person is: what is on screen, on the PDF and on the issued paper is one date. */
const localDate = (): string => format(new Date(Date.now() - clockAheadMs()), "yyyy-MM-dd");

/** The paper itself, following the job until it is issued. */
export function QuoteScreen() {
  const { record } = useJob("record");
  const session = useSession().data;
  if (record.job.pricing === null) return <NoCosts />;
  return session ? <Quote session={session} /> : null;
}

function Quote({ session }: { session: Session }) {
  const { record, parts, reckoning, context } = useJob("record", "parts", "reckoning", "context");
  const wide = useWide();
  const buildUp = reckoning?.buildUp;
  const { pricing } = record.job;
  if (!reckoning || !buildUp || pricing === null) return <Waiting what="the quote" />;
  const today = localDate();
  const { name, address, profile } = session.company;
  const written = { name, address, details: detailLines(profile), mark: profile.mark };
  const issue = { number: "Draft", date: today, company: written, context };
  const draft = draftQuote({ ...record.job, pricing }, parts, { ...reckoning, buildUp }, issue);
  return (
    <ScrollView
      className="min-h-0 flex-1"
      contentContainerClassName={`mx-auto w-full gap-6 p-3 pb-10 ${wide ? "max-w-6xl flex-row" : "max-w-2xl"}`}
    >
      <View className={wide ? "min-w-0 flex-1" : ""}>
        <PaperPage quote={draft} />
      </View>
      <View className={`gap-6 ${wide ? "w-[380px]" : "px-1"}`}>
        <Actions empty={draft.sections.length === 0} />
        <IssuedQuotes jobId={record.id} />
        <QuoteSettingsForm />
      </View>
    </ScrollView>
  );
}

function Actions({ empty }: { empty: boolean }) {
  const { record } = useJob("record");
  const sync = syncState(useOutbox());
  const quotes = useSWR(`/jobs/${record.id}/quotes`, () => ask(quoteListSchema, "GET", `/jobs/${record.id}/quotes`));
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<string>();
  const attempt = async (work: () => Promise<unknown>) => {
    setBusy(true);
    setFailure(undefined);
    try {
      await work();
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
    setBusy(false);
  };
  const issue = () =>
    attempt(async () => {
      await ask(quoteRecordSchema, "POST", `/jobs/${record.id}/quotes`, { commandId: newId(), date: localDate() });
      await quotes.mutate();
    });
  const waiting = sync !== "saved";
  return (
    <View className="gap-2">
      <Title level={2}>Draft</Title>
      {empty ? <Faint>Measure a wall first; there is nothing to quote yet.</Faint> : null}
      {waiting ? <Faint>Entries are still on their way to the server. A quote is made from what it has.</Faint> : null}
      <Button label="Issue this quote" icon={Stamp} disabled={busy || empty || waiting} onPress={() => void issue()} />
      <Button
        label="Download the draft as PDF"
        kind="plain"
        icon={Download}
        disabled={busy || waiting}
        onPress={() =>
          void attempt(() => download(`/jobs/${record.id}/quote-draft.pdf?date=${localDate()}`, "quote.pdf"))
        }
      />
      {failure ? (
        <Notice title="That did not work" live>
          {failure}
        </Notice>
      ) : null}
    </View>
  );
}
