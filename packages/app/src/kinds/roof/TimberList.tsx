import { formatLength, type PartCount, pitchWays, type TimberRow, timberList, timberTable } from "@wide-porch/core";
import { useMemo, useState } from "react";
import { Pressable, View } from "react-native";
import { Sheet } from "../../components/Sheet";
import { Faint, Figure, Strong, Title } from "../../components/Text";
import { ExportButtons } from "../../export/ExportButtons";
import { useJob } from "../../job/JobContext";
import { CuttingDrawing } from "./CuttingDrawing";
import { roleWords } from "./roleWords";

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

type Props = { readonly count: PartCount | undefined; readonly name: string };

/** Every piece by kind: pitch, on plan, as cut, as bought, and how many. A press shows how one is cut. */
export function TimberList({ count, name }: Props) {
  const { priceList, context } = useJob("priceList", "context");
  const rows = useMemo(() => (count ? timberList(count, priceList) : []), [count, priceList]);
  const [open, setOpen] = useState<TimberRow>();
  if (rows.length === 0) return null;
  const roles = [...new Set(rows.map(({ role }) => role))];
  return (
    <View className="gap-3">
      <Title level={2}>Timber</Title>
      {roles.map((role) => (
        <Kind key={role} role={role} rows={rows.filter((row) => row.role === role)} onOpen={setOpen} />
      ))}
      <View className="flex-row flex-wrap items-start gap-2">
        <ExportButtons make={() => timberTable(rows, context.sections, context.system)} what="timber list" />
      </View>
      <Sheet open={open !== undefined} onClose={() => setOpen(undefined)} title={open ? titleOf(open) : ""}>
        {open ? <CuttingDrawing row={open} partName={name} /> : null}
      </Sheet>
    </View>
  );
}

const titleOf = ({ role, count }: TimberRow): string => `${capital(roleWords(role, count))}: ${count} alike`;

type KindProps = {
  readonly role: string;
  readonly rows: readonly TimberRow[];
  readonly onOpen: (row: TimberRow) => void;
};

/** Rows of one kind that are shown before the rest is asked for. */
const AT_FIRST = 6;

function Kind({ role, rows, onOpen }: KindProps) {
  const [all, setAll] = useState(false);
  const { context } = useJob("context");
  const words = roleWords(role, 2);
  const total = rows.reduce((sum, row) => sum + row.count, 0);
  const sections = [...new Set(rows.map(({ sectionId }) => context.sections[sectionId]?.name ?? sectionId))].join(", ");
  return (
    <View>
      <View className="flex-row items-baseline justify-between gap-3">
        <Strong>{`${total} ${roleWords(role, total)}`}</Strong>
        <Faint>{sections}</Faint>
      </View>
      {(all ? rows : rows.slice(0, AT_FIRST)).map((row) => (
        <Row key={row.pieceIds[0]} row={row} onPress={() => onOpen(row)} />
      ))}
      {rows.length > AT_FIRST ? (
        <Pressable role="button" onPress={() => setAll(!all)} className="min-h-12 justify-center active:bg-pine-wash">
          <Strong className="text-pine">{all ? "Fewer" : `${rows.length - AT_FIRST} more lengths of ${words}`}</Strong>
        </Pressable>
      ) : null}
    </View>
  );
}

function Row({ row, onPress }: { row: TimberRow; onPress: () => void }) {
  const { context } = useJob("context");
  const { system } = context;
  const { count, pitch, planNm, trueNm, boughtNm } = row;
  const say = (nm: number) => formatLength(nm, system);
  const buy = boughtNm === undefined ? "no length sold is so long" : `buy ${say(boughtNm)}`;
  const under = [
    ...(pitch === undefined ? [] : [pitchWays(pitch, system)[0] ?? ""]),
    ...(planNm === undefined ? [] : [`on plan ${say(planNm)}`]),
    buy,
  ].join(" · ");
  return (
    <Pressable
      role="button"
      aria-label={`${count} ${roleWords(row.role, count)}, cut ${say(trueNm)}, ${under}. How it is cut`}
      onPress={onPress}
      className="min-h-12 flex-row items-center justify-between gap-3 border-b border-rule py-1 active:bg-pine-wash"
    >
      <View className="min-w-0 flex-1">
        <Figure className="text-base">{`${count} × ${say(trueNm)}`}</Figure>
        <Faint className={boughtNm === undefined ? "text-clay" : ""}>{under}</Faint>
      </View>
    </Pressable>
  );
}
