import { formatMoney, plural } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { View } from "react-native";
import { Body, Faint, Figure, Strong } from "../components/Text";
import { useJob } from "../job/JobContext";
import { useOpenRange } from "./useOpenRange";

/** The price with the range that is still open, and the way to what it hangs on. */
export function OpenSummary() {
  const { jobId, record } = useJob("jobId", "record");
  const { range, progress, failure } = useOpenRange();
  const { currency, pricing } = record.job;
  const unknown = range?.points.filter((point) => point.unknown !== "" && point.kind === "missing").length ?? 0;
  const settled = range?.points.length === 0;
  return (
    <View className="gap-1" testID="open-range">
      {range && !settled ? (
        <>
          <Faint>{`Once what is open is settled${pricing?.adjust ? ", before the price that was typed" : ""}`}</Faint>
          <Figure className="text-xl leading-7">
            {`${formatMoney(range.least, currency)} to ${formatMoney(range.most, currency)}`}
          </Figure>
          {unknown > 0 ? (
            <Body>{`${plural(unknown, "One more is", `${unknown} more are`)} not measured, and nobody can say what ${plural(unknown, "it comes", "they come")} to.`}</Body>
          ) : null}
          <Link href={`/jobs/${jobId}/price/open` as Href}>
            <Strong className="text-pine underline">What to settle first</Strong>
          </Link>
        </>
      ) : null}
      {range && settled ? <Body>Nothing is open: the total is what it is.</Body> : null}
      {progress ? <Faint role="status">{`Reckoning what is open, ${progress.done} of ${progress.of}`}</Faint> : null}
      {!range && !progress && !failure ? <Faint role="status">Reckoning what is open</Faint> : null}
      {failure ? <Faint role="alert">{`What is open could not be reckoned: ${failure}`}</Faint> : null}
    </View>
  );
}
