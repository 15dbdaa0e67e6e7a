import type { PriceRows } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import { z } from "zod";
import { ask } from "../api/client";
import { Button } from "../components/Button";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Warning } from "../components/Text";

const PATH = "/suppliers";
const listSchema = z.object({
  page: z.string().nullable(),
  items: z.array(z.object({ id: z.string(), name: z.string() })),
});
const pricesSchema = z.object({ columns: z.array(z.string()), rows: z.array(z.array(z.string())) });

type Props = { readonly onClose: () => void; readonly onRead: (name: string, table: PriceRows) => void };

const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** Suppliers who send their prices: what one sends is seen before any of it is taken, as with a file. */
export function SupplierSheet({ onClose, onRead }: Props) {
  const list = useSWR(PATH, (path: string) => ask(listSchema, "GET", path), { shouldRetryOnError: false });
  const [asking, setAsking] = useState<string>();
  const [failure, setFailure] = useState<string>();
  const askFor = async (id: string, name: string) => {
    setFailure(undefined);
    setAsking(id);
    try {
      onRead(name, await ask(pricesSchema, "GET", `${PATH}/${encodeURIComponent(id)}/prices`));
    } catch (error) {
      setFailure(wordsOf(error));
    } finally {
      setAsking(undefined);
    }
  };
  return (
    <Sheet open onClose={onClose} title="Ask a supplier for prices">
      {list.error ? <Warning role="alert">{wordsOf(list.error)}</Warning> : null}
      {list.isLoading ? <Faint>Asking who sends prices</Faint> : null}
      {list.data?.items.map(({ id, name }) => (
        <Button
          key={id}
          label={asking === id ? `Asking ${name}` : name}
          kind="plain"
          disabled={asking !== undefined}
          onPress={() => void askFor(id, name)}
        />
      ))}
      {failure ? <Warning role="alert">{failure}</Warning> : null}
      {list.data?.page ? (
        <View className="gap-1">
          <Faint>A stand-in for real suppliers ships with the app. How they answer is set on its page:</Faint>
          <Body className="figures">{list.data.page}</Body>
        </View>
      ) : null}
    </Sheet>
  );
}
