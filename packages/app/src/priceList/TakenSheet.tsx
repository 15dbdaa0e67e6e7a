import { soMany } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import useSWR from "swr";
import { z } from "zod";
import { askOnce } from "../api/askOnce";
import { ask } from "../api/client";
import { priceBatchSchema } from "../api/records";
import { Button } from "../components/Button";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Warning } from "../components/Text";

const PATH = "/price-batches";
const listSchema = z.object({ items: z.array(priceBatchSchema) });
const undoneSchema = z.object({ batch: priceBatchSchema, left: z.array(z.string()) });

/** What was taken out of files until now, and taking it back. */
export function TakenSheet({ onClose, onUndone }: { readonly onClose: () => void; readonly onUndone: () => void }) {
  const list = useSWR(PATH, (path: string) => ask(listSchema, "GET", path));
  const [said, setSaid] = useState("");
  const undo = async (id: string) => {
    try {
      const { left } = await askOnce(undoneSchema, "POST", `${PATH}/${id}/undo`, {});
      const stays =
        left.length === 0
          ? ""
          : ` Changed since, and left: ${left.slice(0, 5).join(", ")}${left.length > 5 ? ` and ${left.length - 5} more` : ""}.`;
      setSaid(`It is taken back.${stays}`);
      await list.mutate();
      onUndone();
    } catch (error) {
      setSaid(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <Sheet open onClose={onClose} title="Taken out of files">
      <Body role="status">{said}</Body>
      {list.error ? <Warning>{list.error instanceof Error ? list.error.message : String(list.error)}</Warning> : null}
      {list.data?.items.length === 0 ? <Faint>Nothing yet.</Faint> : null}
      {list.data?.items.map(({ id, fromWhere, at, by, itemCount, undoneAt }) => (
        <View key={id} className="flex-row items-center gap-2 border-b border-rule py-1">
          <View className="min-w-0 flex-1">
            <Body numberOfLines={1}>{fromWhere}</Body>
            <Faint>{`${soMany(itemCount, "item", "items")}, ${by}, ${at.slice(0, 10)}${undoneAt ? ", taken back" : ""}`}</Faint>
          </View>
          {undoneAt ? null : (
            <Button label="Take it back" name={`Take back ${fromWhere}`} kind="quiet" onPress={() => void undo(id)} />
          )}
        </View>
      ))}
    </Sheet>
  );
}
