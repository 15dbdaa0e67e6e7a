import { type PriceRows, priceTable, soMany } from "@wide-porch/core";
import { useRouter } from "expo-router";
import { useCallback, useMemo, useState } from "react";
import { ScrollView, View } from "react-native";
import { seesCosts, useSession } from "../api/session";
import { Button, IconButton } from "../components/Button";
import { FileButton } from "../components/FileButton";
import { Picker } from "../components/Picker";
import { Body, Title, Warning } from "../components/Text";
import { TextField } from "../components/TextField";
import { Toggles } from "../components/Toggles";
import { Pending } from "../components/Waiting";
import { TableButtons } from "../export/TableButtons";
import { ChevronLeft, History, Plus, Truck } from "../icons";
import { ImportSheet } from "./ImportSheet";
import { ItemCard } from "./ItemCard";
import { ItemSheet } from "./ItemSheet";
import { readPriceFile } from "./readFile";
import { SupplierSheet } from "./SupplierSheet";
import { TakenSheet } from "./TakenSheet";
import { usePriceList } from "./usePriceList";

const ALL = "";
/** A list of tens of thousands is looked through by its words, not by scrolling. */
const AT_ONCE = 60;
const RETIRED = "Show retired ones";
type OpenSheet =
  | { readonly is: "item"; readonly code: string | undefined }
  | { readonly is: "file"; readonly name: string; readonly table: PriceRows }
  | { readonly is: "suppliers" }
  | { readonly is: "taken" };

/** What things cost to buy: found, made, changed, and read from files. Crew see what is stocked, without prices. */
export function PriceListScreen() {
  const router = useRouter();
  const session = useSession().data;
  const list = usePriceList();
  const [search, setSearch] = useState("");
  const [category, setCategory] = useState(ALL);
  const [retired, setRetired] = useState(false);
  const [sheet, setSheet] = useState<OpenSheet>();
  const [said, setSaid] = useState<string>();
  const [done, setDone] = useState("");
  const [more, setMore] = useState(false);
  const [most, setMost] = useState(AT_ONCE);
  const openItem = useCallback((code: string) => setSheet({ is: "item", code }), []);
  const { items } = list;
  const categories = useMemo(
    () => [...new Set(items?.map(({ item }) => item.category))].filter(Boolean).toSorted(),
    [items],
  );
  const shown = useMemo(() => {
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    return items
      ?.filter(({ item }) => (retired || !item.retired) && (category === ALL || item.category === category))
      .filter(({ item: { name, supplier, code, category: of, supplierCode } }) => {
        const text = [name, supplier, code, of, supplierCode].join(" ").toLowerCase();
        return words.every((word) => text.includes(word));
      })
      .toSorted((a, b) => a.item.category.localeCompare(b.item.category) || a.item.name.localeCompare(b.item.name));
  }, [items, search, category, retired]);
  if (!session) return null;
  const editable = seesCosts(session);
  const readFile = async (file: File) => {
    setSaid(undefined);
    setDone("");
    const read = await readPriceFile(file);
    if (read.ok) setSheet({ is: "file", name: file.name, table: read.table });
    else setSaid(`${read.message} Nothing was changed.`);
  };
  const close = () => setSheet(undefined);
  const head = (
    <View className="gap-4">
      <TextField label="Find an item, a supplier or a code" value={search} onChangeText={setSearch} />
      <Picker
        label="Category"
        options={[{ value: ALL, label: "All categories" }, ...categories.map((value) => ({ value, label: value }))]}
        value={category}
        onChange={setCategory}
      />
      {editable ? (
        <View className="flex-row flex-wrap gap-2">
          <Button
            label="Make an item"
            icon={Plus}
            kind="plain"
            onPress={() => setSheet({ is: "item", code: undefined })}
          />
          <FileButton
            label="Read a file of prices"
            name="Price file"
            accept=".csv,.xlsx,text/csv"
            kind="plain"
            onFile={(file) => void readFile(file)}
          />
          <Button label="Ask a supplier" kind="plain" icon={Truck} onPress={() => setSheet({ is: "suppliers" })} />
          <Button label={more ? "Less" : "More"} kind="quiet" onPress={() => setMore(!more)} />
        </View>
      ) : null}
      {editable && more ? (
        <>
          <View className="flex-row">
            <Button label="Taken out of files" kind="plain" icon={History} onPress={() => setSheet({ is: "taken" })} />
          </View>
          <TableButtons
            what="price list"
            title="Price list"
            make={() => priceTable(items?.map(({ item }) => item) ?? [])}
          />
          <Toggles
            label="Which"
            options={[RETIRED]}
            chosen={retired ? [RETIRED] : []}
            onToggle={(_, on) => setRetired(on)}
          />
        </>
      ) : null}
      {said ? <Warning role="alert">{said}</Warning> : null}
      {done ? <Body role="status">{done}</Body> : null}
      {items ? null : <Pending error={list.error} what="the price list" retry={() => void list.reload()} />}
      {shown?.length === 0 ? <Body>{`Nothing in the price list matches “${search}”.`}</Body> : null}
    </View>
  );
  return (
    <View className="min-h-0 flex-1">
      <View role="banner" className="flex-row items-center border-b border-rule py-1 pl-1">
        <IconButton
          name="Back to jobs"
          icon={ChevronLeft}
          onPress={() => (router.canGoBack() ? router.back() : router.replace("/jobs"))}
        />
        <Title>Price list</Title>
      </View>
      <View role="main" className="min-h-0 flex-1">
        <ScrollView className="min-h-0 flex-1" contentContainerClassName="mx-auto w-full max-w-3xl gap-5 p-4 pb-10">
          {head}
          {shown?.slice(0, most).map((record) => (
            <ItemCard
              key={record.item.code}
              record={record}
              editable={editable}
              change={list.change}
              onOpen={openItem}
            />
          ))}
          {shown && shown.length > most ? (
            <Button
              label={`Show more of ${shown.length}`}
              kind="plain"
              onPress={() => setMost((before) => before + AT_ONCE)}
            />
          ) : null}
        </ScrollView>
      </View>
      {sheet?.is === "item" ? (
        <ItemSheet record={items?.find(({ item }) => item.code === sheet.code)} list={list} onClose={close} />
      ) : null}
      {sheet?.is === "file" && items ? (
        <ImportSheet
          file={sheet}
          records={items}
          onClose={close}
          onTaken={(batch) => {
            close();
            setDone(
              `${soMany(batch.itemCount, "item was", "items were")} taken out of ${batch.fromWhere}. It can be taken back under “Taken out of files”.`,
            );
            void list.reload();
          }}
        />
      ) : null}
      {sheet?.is === "suppliers" ? (
        <SupplierSheet onClose={close} onRead={(name, table) => setSheet({ is: "file", name, table })} />
      ) : null}
      {sheet?.is === "taken" ? <TakenSheet onClose={close} onUndone={() => void list.reload()} /> : null}
    </View>
  );
}
