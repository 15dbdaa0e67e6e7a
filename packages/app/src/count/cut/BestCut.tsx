import {
  type CutList,
  countsInForce,
  formatLength,
  type ItemCut,
  keepBars,
  piecesToCut,
  stockOf,
  withLineChoices,
} from "@wide-porch/core";
import { proxy } from "comlink";
import { useEffect, useRef, useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Body, Faint, Strong, Warning } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { newId } from "../../sync/newId";
import { reckoner } from "../../worker/reckoner";

type Run =
  | { readonly state: "idle" }
  | { readonly state: "running"; readonly id: string; readonly share: number; readonly list: CutList | undefined }
  | { readonly state: "done"; readonly list: CutList; readonly cancelled: boolean }
  | { readonly state: "failed"; readonly why: string };

/** How far a list is above what is proven to be the least, in percent. */
const above = ({ cost, bound }: CutList): string =>
  bound <= 0 ? "0" : String(Math.max(0, Number(((100 * (cost - bound)) / bound).toFixed(2))));

/** Looks for the best cut list of an item in the worker, shows how near it is to the proven least, and keeps it. */
export function BestCut({ cut, mayKeep }: { readonly cut: ItemCut; readonly mayKeep: boolean }) {
  const { record, reckoning, priceList, changeCutting } = useJob("record", "reckoning", "priceList", "changeCutting");
  const [run, setRun] = useState<Run>({ state: "idle" });
  const current = useRef("");
  const { cutting, system } = record.job;
  const item = priceList.find((each) => each.code === cut.itemCode);
  // Another list is asked for once the pieces or the stock are others: what was found is then out of date.
  const asked = JSON.stringify([cut.bars.length, cut.boughtNm, cutting.kerfNm, cutting.endTrimNm, cutting.yard]);
  useEffect(() => {
    const id = current.current;
    return () => void (id && asked && reckoner().cancel(id));
  }, [asked]);
  if (!item || !reckoning) return null;

  const start = async () => {
    const id = newId();
    current.current = id;
    setRun({ state: "running", id, share: 0, list: undefined });
    const lines = countsInForce(withLineChoices(reckoning.counts, record.job), record.job.optionsTaken)
      .flatMap((count) => count.lines)
      .filter((line) => line.itemCode === cut.itemCode && line.buying === "cut" && line.quantity > 0);
    try {
      const tell = proxy(({ share, list }: { share: number; list: CutList }) => {
        if (current.current === id) setRun({ state: "running", id, share, list });
      });
      const stock = stockOf(item, cutting);
      const { list, cancelled } = await reckoner().cut(id, piecesToCut(item, lines), stock, cutting, tell);
      if (current.current === id) setRun({ state: "done", list, cancelled });
    } catch (error) {
      setRun({ state: "failed", why: error instanceof Error ? error.message : String(error) });
    }
  };
  const keep = (list: CutList) => {
    changeCutting((now) => ({ ...now, kept: { ...now.kept, [cut.itemCode]: keepBars(list.bars) } }));
    setRun({ state: "idle" });
  };
  const giveBack = () =>
    changeCutting((now) => {
      const { [cut.itemCode]: _, ...kept } = now.kept;
      return { ...now, kept };
    });
  return (
    <View className="gap-2 rounded-md border border-rule bg-sheet p-3">
      {run.state === "idle" ? (
        <View className="flex-row flex-wrap items-center gap-2">
          <Button
            label="Find the best list"
            kind="plain"
            name={`Find the best list for ${cut.name}`}
            onPress={() => void start()}
          />
          {cut.kept && mayKeep ? <Button label="Let the kept list go" kind="quiet" onPress={giveBack} /> : null}
          {cut.bound > 0 ? <Faint>{`Now ${above(cut)} % above what the material alone takes.`}</Faint> : null}
        </View>
      ) : null}
      {run.state === "running" ? (
        <View className="gap-2">
          <View
            role="progressbar"
            aria-label={`Looking for the best list for ${cut.name}`}
            aria-valuenow={Math.round(100 * run.share)}
            aria-valuemin={0}
            aria-valuemax={100}
            className="h-3 overflow-hidden rounded-full border border-rule"
          >
            <View className="h-full bg-pine" style={{ width: `${Math.max(3, 100 * run.share)}%` }} />
          </View>
          <View className="flex-row items-center justify-between">
            <Faint>{run.list ? `So far ${above(run.list)} % above the proven least` : "Looking"}</Faint>
            <Button label="Cancel" kind="quiet" onPress={() => void reckoner().cancel(run.id)} />
          </View>
        </View>
      ) : null}
      {run.state === "done" ? (
        <View role="status" className="gap-2">
          <Strong>
            {run.cancelled ? "Stopped. The best until then: " : ""}
            {`${formatLength(run.list.boughtNm, system)} to buy, ${above(run.list)} % above the proven least`}
          </Strong>
          <Body>{savingWords(cut, run.list, system)}</Body>
          <View className="flex-row flex-wrap gap-2">
            {mayKeep ? <Button label="Order and cut by this list" onPress={() => keep(run.list)} /> : null}
            <Button label="Leave it" kind="quiet" onPress={() => setRun({ state: "idle" })} />
          </View>
        </View>
      ) : null}
      {run.state === "failed" ? (
        <Warning role="alert">{`No list was found: ${run.why}. The list below stays.`}</Warning>
      ) : null}
    </View>
  );
}

function savingWords(cut: ItemCut, found: CutList, system: "imperial" | "metric"): string {
  const saves = cut.boughtNm - found.boughtNm;
  if (saves > 0) return `It buys ${formatLength(saves, system)} less than the list below.`;
  return "The list below is as good.";
}
