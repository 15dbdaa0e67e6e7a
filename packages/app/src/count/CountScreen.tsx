import type { CountLine, PartCount } from "@wide-porch/core";
import { useLocalSearchParams, useRouter } from "expo-router";
import { ScrollView, View } from "react-native";
import { Choice } from "../components/Choice";
import { Sheet } from "../components/Sheet";
import { Faint, Title, Warning } from "../components/Text";
import { Waiting } from "../components/Waiting";
import { useJob } from "../job/JobContext";
import { useWide } from "../theme/useWide";
import { Counted } from "./Counted";
import { CutLists } from "./cut/CutLists";
import { ModelView } from "./model/ModelView";
import { OrderList } from "./OrderList";
import { WorkingSheet } from "./WorkingSheet";

const VIEWS = [
  { value: "counted", label: "Counted" },
  { value: "ordered", label: "Ordered" },
  { value: "cut", label: "Cut list" },
  { value: "model", label: "3D" },
] as const;
type Shown = (typeof VIEWS)[number]["value"];

/** What the job needs: as counted, as it is bought, as it is cut, and as it stands. */
export function CountScreen() {
  const wide = useWide();
  const router = useRouter();
  const { line: lineId, view: asked, lit } = useLocalSearchParams<{ line?: string; view?: string; lit?: string }>();
  const { reckoning, failure } = useJob("reckoning", "failure");
  const view: Shown = VIEWS.find((each) => each.value === asked)?.value ?? "counted";
  if (!reckoning)
    return failure ? <Warning role="alert">{`Counting failed: ${failure}`}</Warning> : <Waiting what="the count" />;

  const found = findLine(reckoning.counts, lineId);
  // On the phone the working closes over the 3D view; what it lit stays lit.
  const litLine = found?.line ?? findLine(reckoning.counts, lit)?.line;
  const show = (id: string) => router.setParams({ line: id });
  const showInModel = (id: string) => router.setParams({ view: "model", line: wide ? id : "", lit: id });
  const list = (
    // Each view begins at its top.
    <ScrollView
      key={view}
      className="min-h-0 flex-1"
      contentContainerClassName="mx-auto w-full max-w-3xl gap-5 p-4 pb-10"
    >
      <Choice label="Show" value={view} onChange={(next) => router.setParams({ view: next })} options={VIEWS} />
      {view === "counted" ? <Counted counts={reckoning.counts} onOpen={show} shownId={lineId} /> : null}
      {view === "ordered" ? <OrderList order={reckoning.order} /> : null}
      {view === "cut" ? <CutLists order={reckoning.order} counts={reckoning.counts} /> : null}
      {view === "model" ? <ModelView counts={reckoning.counts} onOpen={show} litLine={litLine} /> : null}
    </ScrollView>
  );
  const working = found ? (
    <WorkingSheet
      line={found.line}
      count={found.count}
      order={reckoning.order}
      onModel={() => showInModel(found.line.id)}
    />
  ) : null;
  // One tree for both: a tablet that is turned keeps the list with what was searched in it.
  return (
    <View className={`min-h-0 flex-1 ${wide ? "flex-row" : ""}`}>
      {list}
      {wide ? (
        <View role="complementary" aria-label="Working" className="w-[440px] border-l border-rule">
          <ScrollView className="min-h-0 flex-1" contentContainerClassName="gap-4 p-4">
            {found ? <Title level={2}>{found.line.description}</Title> : null}
            {working ?? <Faint>Choose a line to see how it came about.</Faint>}
          </ScrollView>
        </View>
      ) : (
        <Sheet open={found !== undefined} onClose={() => show("")} title={found?.line.description ?? ""}>
          {working}
        </Sheet>
      )}
    </View>
  );
}

function findLine(
  counts: readonly PartCount[],
  id: string | undefined,
): { line: CountLine; count: PartCount } | undefined {
  for (const count of counts) {
    const line = count.lines.find((each) => each.id === id);
    if (line) return { line, count };
  }
  return undefined;
}
