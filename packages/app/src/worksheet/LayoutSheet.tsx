import { zodResolver } from "@hookform/resolvers/zod";
import { type LayoutColumn, usualLayout, type WorksheetLayout } from "@wide-porch/core";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import { z } from "zod";
import { Button, IconButton } from "../components/Button";
import { CommitField } from "../components/CommitField";
import { FormEntry } from "../components/FormEntry";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { ChevronDown, ChevronUp, Eye, Minus, Plus, Trash2 } from "../icons";
import type { Layouts } from "./useLayouts";
import { COLUMN_WORDS } from "./words";

type Props = { readonly layouts: Layouts; readonly open: boolean; readonly onClose: () => void };

/** Columns: which, in what order, under which names; and layouts, one's own and the company's. */
export function LayoutSheet({ layouts, open, onClose }: Props) {
  const { layout, change } = layouts;
  const setColumns = (columns: LayoutColumn[]) => change((before) => ({ ...before, columns }));
  const set = (id: LayoutColumn["id"], changed: Partial<LayoutColumn>) =>
    setColumns(layout.columns.map((column) => (column.id === id ? { ...column, ...changed } : column)));
  const move = (index: number, by: 1 | -1) => {
    const next = [...layout.columns];
    const [moved] = next.splice(index, 1);
    if (moved) next.splice(index + by, 0, moved);
    setColumns(next);
  };
  return (
    <Sheet open={open} onClose={onClose} title="Columns and layouts">
      <KeptLayouts layouts={layouts} />
      <Title level={3}>Columns</Title>
      {layout.columns.map((column, index) => {
        const word = COLUMN_WORDS[column.id];
        return (
          <View key={column.id} className="gap-1 border-b border-rule pb-2">
            <View className="flex-row items-center">
              <Strong className={`flex-1 ${column.shown ? "" : "font-text text-faint"}`}>{word}</Strong>
              <IconButton
                name={`${word} further left`}
                icon={ChevronUp}
                disabled={index === 0}
                onPress={() => move(index, -1)}
              />
              <IconButton
                name={`${word} further right`}
                icon={ChevronDown}
                disabled={index === layout.columns.length - 1}
                onPress={() => move(index, 1)}
              />
              <IconButton
                name={column.shown ? `Hide the column ${word}` : `Show the column ${word}`}
                icon={column.shown ? Minus : Eye}
                onPress={() => set(column.id, { shown: !column.shown })}
              />
            </View>
            {column.shown ? (
              <CommitField
                label={`Its name in place of ${word}`}
                value={column.name}
                check={(text) => (text.length > 40 ? "At most 40 letters." : undefined)}
                onCommit={(name) => set(column.id, { name: name.trim() })}
              />
            ) : null}
          </View>
        );
      })}
    </Sheet>
  );
}

const nameSchema = z.object({ name: z.string().trim().min(1, "Give it a name first.").max(60, "At most 60 letters.") });

function KeptLayouts({ layouts }: { readonly layouts: Layouts }) {
  const { layout, own, company, failure } = layouts;
  const { control, handleSubmit } = useForm({ resolver: zodResolver(nameSchema), defaultValues: { name: "" } });
  const keep = (how: (named: WorksheetLayout) => unknown) =>
    void handleSubmit(({ name }) => void how({ ...layout, name }))();
  return (
    <View className="gap-3">
      <Title level={3}>Layouts</Title>
      <Row layout={usualLayout} under="As it comes" onTake={() => layouts.change(() => usualLayout)} />
      {own.map((each) => (
        <Row
          key={`own/${each.name}`}
          layout={each}
          under="On this device"
          onTake={() => layouts.change(() => each)}
          onDrop={() => layouts.dropOwn(each.name)}
        />
      ))}
      {company.map((each) => (
        <Row
          key={`company/${each.name}`}
          layout={each}
          under="The company's"
          onTake={() => layouts.change(() => each)}
          onDrop={() => void layouts.dropForAll(each.name)}
        />
      ))}
      <FormEntry control={control} name="name" label="Keep what is shown now as" />
      <View className="flex-row flex-wrap gap-2">
        <Button label="On this device" kind="plain" icon={Plus} onPress={() => keep(layouts.keepOwn)} />
        <Button label="For the company" kind="plain" icon={Plus} onPress={() => keep(layouts.keepForAll)} />
      </View>
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}

type RowProps = {
  readonly layout: WorksheetLayout;
  readonly under: string;
  readonly onTake: () => void;
  readonly onDrop?: () => void;
};

function Row({ layout, under, onTake, onDrop }: RowProps) {
  return (
    <View className="flex-row items-center gap-2 border-b border-rule">
      <View className="min-w-0 flex-1">
        <Body>{layout.name}</Body>
        <Faint>{under}</Faint>
      </View>
      <Button label="Use it" kind="quiet" name={`Use the layout ${layout.name}, ${under}`} onPress={onTake} />
      {onDrop ? (
        <IconButton name={`Take out the layout ${layout.name}, ${under}`} icon={Trash2} onPress={onDrop} />
      ) : null}
    </View>
  );
}
