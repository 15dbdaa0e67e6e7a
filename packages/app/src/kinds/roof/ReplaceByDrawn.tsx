import { formOf, isRoof, type RoofTimbers, type RoofTotals, roofInPlaceOf } from "@wide-porch/core";
import { type Href, router } from "expo-router";
import { useMemo, useState } from "react";
import { View } from "react-native";
import { ChangePreview } from "../../assembly/ChangePreview";
import { Button } from "../../components/Button";
import { Picker } from "../../components/Picker";
import { Sheet } from "../../components/Sheet";
import { Faint } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { newId } from "../../sync/newId";

type Props = { readonly part: RoofTotals | RoofTimbers };

/** A drawn roof in place of one known by figures: every quantity that it changes is seen first. */
export function ReplaceByDrawn({ part }: Props) {
  const { parts, jobId, context, savePart } = useJob("parts", "jobId", "context", "savePart");
  const [open, setOpen] = useState(false);
  const drawn = parts.filter(isRoof).filter((roof) => formOf(roof).ok);
  const draw = () => {
    const id = newId();
    const roof = roofInPlaceOf(part, id, context);
    savePart(roof);
    const first = encodeURIComponent(`edges.${roof.edges[0]?.id}.length`);
    router.push(`/jobs/${jobId}/measure/${id}?figure=${first}` as Href);
  };
  return (
    <View className="flex-row flex-wrap gap-2">
      <Button label="Draw this roof" kind="plain" onPress={draw} />
      {drawn.length > 0 ? (
        <>
          <Button label="Put a drawn roof in its place" kind="plain" onPress={() => setOpen(true)} />
          <Sheet open={open} onClose={() => setOpen(false)} title={`In place of ${part.name}`}>
            <Replacing part={part} onDone={() => setOpen(false)} />
          </Sheet>
        </>
      ) : null}
    </View>
  );
}

function Replacing({ part, onDone }: Props & { readonly onDone: () => void }) {
  const { parts, rules, record, binPart, jobId } = useJob("parts", "rules", "record", "binPart", "jobId");
  const drawn = parts.filter(isRoof).filter((roof) => formOf(roof).ok);
  const [chosen, setChosen] = useState(drawn.at(-1)?.id ?? "");
  const roof = drawn.find(({ id }) => id === chosen);
  const before = useMemo(() => ({ parts: [part], rules }), [part, rules]);
  // Line by line beside the figures, as if it were the same part.
  const after = useMemo(
    () => ({ parts: roof ? [{ ...roof, id: part.id, name: part.name }] : [], rules }),
    [roof, part, rules],
  );
  const replace = () => {
    binPart(part.id);
    onDone();
    if (roof) router.replace(`/jobs/${jobId}/measure/${roof.id}` as Href);
  };
  return (
    <View className="gap-3">
      <Picker
        label="Drawn roof"
        options={drawn.map(({ id, name }) => ({ value: id, label: name }))}
        value={chosen}
        onChange={setChosen}
      />
      {roof ? (
        <>
          <Faint>{`What ${part.name} comes to now, and what ${roof.name} comes to by itself.`}</Faint>
          <ChangePreview job={record.job} before={before} after={after} />
          <Faint>{`${part.name} goes to the bin, from where it can be taken back.`}</Faint>
          <Button label={`Keep ${roof.name} in its place`} onPress={replace} />
        </>
      ) : null}
    </View>
  );
}
