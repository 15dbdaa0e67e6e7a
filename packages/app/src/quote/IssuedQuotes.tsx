import { formatMoney } from "@wide-porch/core";
import { format } from "date-fns/format";
import { parseISO } from "date-fns/parseISO";
import { useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import { ask, download } from "../api/client";
import { type QuoteRecord, quoteListSchema } from "../api/records";
import { IconButton } from "../components/Button";
import { Sheet } from "../components/Sheet";
import { Faint, Figure, Strong, Title, Warning } from "../components/Text";
import { Download, Eye } from "../icons";
import { PaperPage } from "./PaperPage";

/** Quotes as they were issued; nothing changes them. */
export function IssuedQuotes({ jobId }: { jobId: string }) {
  const quotes = useSWR(`/jobs/${jobId}/quotes`, () => ask(quoteListSchema, "GET", `/jobs/${jobId}/quotes`));
  const [shown, setShown] = useState<QuoteRecord>();
  const [failure, setFailure] = useState<string>();
  const take = async (quote: QuoteRecord) => {
    setFailure(undefined);
    try {
      await download(`/jobs/${jobId}/quotes/${quote.id}/pdf`, `quote-${quote.number}.pdf`);
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  };
  if (quotes.error) return <Warning>Issued quotes could not be fetched.</Warning>;
  if (!quotes.data || quotes.data.items.length === 0) return null;
  return (
    <View className="gap-1">
      <Title level={2}>Issued</Title>
      {quotes.data.items.map((quote) => (
        <View key={quote.id} className="flex-row items-center border-b border-rule">
          <View className="min-w-0 flex-1">
            <Strong>{quote.number}</Strong>
            <Faint>
              {format(parseISO(quote.issuedAt), "d MMM yyyy, HH:mm")}
              {quote.imported ? ". Came with the job's file" : ""}
            </Faint>
          </View>
          <Figure>{formatMoney(quote.document.total, quote.document.currency)}</Figure>
          <IconButton name={`Read quote ${quote.number}`} icon={Eye} onPress={() => setShown(quote)} />
          <IconButton name={`Download quote ${quote.number} as PDF`} icon={Download} onPress={() => void take(quote)} />
        </View>
      ))}
      {failure ? <Warning role="alert">{failure}</Warning> : null}
      <Sheet
        open={shown !== undefined}
        onClose={() => setShown(undefined)}
        title={shown ? `Quote ${shown.number}` : ""}
      >
        {shown ? <PaperPage quote={shown.document} /> : null}
      </Sheet>
    </View>
  );
}
