import { countTable, type PartCount } from "@wide-porch/core";
import { useMemo, useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Body, Title } from "../components/Text";
import { TextField } from "../components/TextField";
import { ExportButtons } from "../export/ExportButtons";
import { SlidersHorizontal } from "../icons";
import { useJob } from "../job/JobContext";
import { useWide } from "../theme/useWide";
import { CountRow } from "./CountRow";
import { GROUPINGS, type Grouping, groupLines, narrowed, tradesOf } from "./grouping";

type Props = {
  readonly counts: readonly PartCount[];
  readonly onOpen: (id: string) => void;
  readonly shownId: string | undefined;
};

const GROUPING_WORDS: Record<Grouping, string> = {
  trade: "Trade",
  part: "Part",
  location: "Location",
  assembly: "Assembly",
  phase: "Phase",
};
const GROUPING_OPTIONS = GROUPINGS.map((value) => ({ value, label: GROUPING_WORDS[value] }));
const ALL = "";

/** Every quantity of the job, under the headings asked for. */
export function Counted({ counts, onOpen, shownId }: Props) {
  const { record } = useJob("record");
  const [by, setBy] = useState<Grouping>("part");
  const [search, setSearch] = useState("");
  const [trade, setTrade] = useState(ALL);
  const [onlyByHand, setOnlyByHand] = useState(false);
  const [open, setOpen] = useState(false);
  const wide = useWide();
  const lines = useMemo(() => narrowed(counts, { search, trade, onlyByHand }), [counts, search, trade, onlyByHand]);
  const byHand = useMemo(
    () => counts.reduce((sum, count) => sum + count.lines.filter((line) => line.byHand !== undefined).length, 0),
    [counts],
  );
  const trades = tradesOf(counts);
  if (trades.length === 0) return <Body>Nothing to count yet. Measure a wall first.</Body>;
  return (
    <>
      <TextField label="Find an item, a part or a place" value={search} onChangeText={setSearch} />
      {wide ? null : (
        <Button
          label={
            open
              ? "Hide grouping and filter"
              : `By ${GROUPING_WORDS[by].toLowerCase()}, ${trade || "all trades"}${onlyByHand ? ", set by hand" : ""}`
          }
          kind="plain"
          icon={SlidersHorizontal}
          name={open ? "Hide grouping and filter" : "Group and filter"}
          onPress={() => setOpen(!open)}
        />
      )}
      {wide || open ? (
        <>
          <Choice label="Grouped by" value={by} onChange={setBy} options={GROUPING_OPTIONS} />
          <Choice
            label="Trade"
            value={trade}
            onChange={setTrade}
            options={[{ value: ALL, label: "All" }, ...trades.map((each) => ({ value: each, label: each }))]}
          />
          {byHand > 0 ? (
            <Choice
              label="Set by hand"
              value={onlyByHand}
              onChange={setOnlyByHand}
              options={[
                { value: false, label: "All counts" },
                { value: true, label: `Only the ${byHand} set by hand` },
              ]}
            />
          ) : null}
        </>
      ) : null}
      {lines.length === 0 ? <Body>Nothing in this job matches.</Body> : null}
      {groupLines(lines, by).map((group) => (
        <View key={group.key}>
          <Title level={2}>{group.title}</Title>
          <View role="list">
            {group.lines.map((line) => (
              <CountRow
                key={line.id}
                line={line}
                system={record.job.system}
                shown={line.id === shownId}
                withPart={by !== "part"}
                onOpen={onOpen}
              />
            ))}
          </View>
        </View>
      ))}
      <ExportButtons make={() => countTable(lines, record.job.system)} what="count" />
    </>
  );
}
