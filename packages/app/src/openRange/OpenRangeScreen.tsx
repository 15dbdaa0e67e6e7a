import {
  type Advice,
  adviceOn,
  formatMoney,
  type OpenPointRange,
  type OpenRange,
  openAfter,
  partsText,
  plural,
} from "@wide-porch/core";
import { type Href, Link, useRouter } from "expo-router";
import { Pressable, ScrollView, View } from "react-native";
import { Button } from "../components/Button";
import { Body, Faint, Figure, Strong, Title } from "../components/Text";
import { hrefOfPoint } from "../job/hrefOfPoint";
import { useJob } from "../job/JobContext";
import { useConfirm } from "../job/useConfirm";
import { NoCosts } from "../price/NoCosts";
import { RangeBar } from "./RangeBar";
import { useOpenRange } from "./useOpenRange";
import { endsText, shareText } from "./words";

const SECTIONS: readonly { readonly advice: Advice; readonly title: string; readonly under: string }[] = [
  { advice: "next", title: "Settle these next", under: "Most of what is open hangs on them." },
  { advice: "later", title: "Then these", under: "" },
  {
    advice: "no-matter",
    title: "These do not matter",
    under: "Each moves the price by less than a quarter of a percent.",
  },
];

/** Open points in order of money: what each could move the price by, what to settle next, and what does not matter. */
export function OpenRangeScreen() {
  const { record, jobId } = useJob("record", "jobId");
  const { range, progress, failure } = useOpenRange();
  if (record.job.pricing === null) return <NoCosts />;
  const { currency } = record.job;
  return (
    <ScrollView className="min-h-0 flex-1" contentContainerClassName="mx-auto w-full max-w-2xl gap-5 p-4 pb-10">
      <View className="gap-1">
        <Title level={2}>Open points, in order of money</Title>
        <Link href={`/jobs/${jobId}/price` as Href}>
          <Strong className="text-pine underline">To the price</Strong>
        </Link>
        {progress ? (
          <Faint role="status">{`Reckoning the job with other likely values, ${progress.done} of ${progress.of}`}</Faint>
        ) : null}
        {failure ? <Faint role="alert">{`This could not be reckoned: ${failure}`}</Faint> : null}
      </View>
      {range ? <Ranges range={range} currency={currency} /> : <Body role="status">Reckoning what is open.</Body>}
    </ScrollView>
  );
}

function Ranges({ range, currency }: { readonly range: OpenRange; readonly currency: string }) {
  const { points, least, most, total } = range;
  if (points.length === 0) return <Body>Nothing is open: the total is what it is.</Body>;
  const advice = adviceOn(range);
  const next = advice.filter((each) => each === "next").length;
  const widest = Math.max(...points.map(({ less, more }) => Math.max(Math.abs(Number(less)), Math.abs(Number(more)))));
  const figures = [
    ["Least", formatMoney(least, currency), shareText(least, range)],
    ["As priced now", formatMoney(total, currency), ""],
    ["Most", formatMoney(most, currency), shareText(most, range)],
  ] as const;
  return (
    <>
      <View className="flex-row gap-3 border-b-2 border-ink pb-3">
        {figures.map(([name, amount, share]) => (
          <View key={name} className="min-w-0 flex-1">
            <Faint>{name}</Faint>
            <Figure>{amount}</Figure>
            <Faint className="figures">{share}</Faint>
          </View>
        ))}
      </View>
      {next > 0 ? (
        <Body>
          {`Once ${plural(next, "the first is", `the first ${next} are`)} settled, ${formatMoney(openAfter(points, next), currency)} of ${formatMoney(openAfter(points, 0), currency)} is still open.`}
        </Body>
      ) : null}
      {SECTIONS.map(({ advice: wanted, title, under }) => {
        const own = points.filter((_, index) => advice[index] === wanted);
        if (own.length === 0) return null;
        return (
          <View key={wanted} className="gap-1">
            <Title level={3}>{title}</Title>
            {under ? <Faint>{under}</Faint> : null}
            {own.map((point) => (
              <PointRow
                key={point.message + point.points.map(({ partId }) => partId).join()}
                point={point}
                widest={widest}
                currency={currency}
              />
            ))}
          </View>
        );
      })}
    </>
  );
}

type RowProps = { readonly point: OpenPointRange; readonly widest: number; readonly currency: string };

function PointRow({ point, widest, currency }: RowProps) {
  const { jobId, parts } = useJob("jobId", "parts");
  const router = useRouter();
  const confirm = useConfirm();
  const { message, points, less, more, kind, unknown } = point;
  const [first] = points;
  if (!first) return null;
  const words = endsText(point, currency);
  return (
    <View className="gap-1 border-b border-rule py-2">
      <View className="flex-row items-center gap-3">
        <Pressable
          role="link"
          aria-label={`${message}, ${partsText(points)}: ${words}`}
          onPress={() => router.push(hrefOfPoint(jobId, parts, first.partId, first.point.path))}
          className="min-h-12 min-w-0 flex-1 justify-center active:bg-pine-wash"
        >
          <Body>{message}</Body>
          <Faint>{partsText(points)}</Faint>
        </Pressable>
        {unknown === "" ? <RangeBar less={Number(less)} more={Number(more)} widest={widest} /> : null}
      </View>
      <View className="flex-row items-center gap-3">
        <Faint className="figures min-w-0 flex-1">{words}</Faint>
        {kind === "assumed" ? (
          <Button
            label="Confirm"
            name={`Confirm: ${message}, ${partsText(points)}`}
            kind="quiet"
            onPress={() => confirm(points)}
          />
        ) : null}
      </View>
    </View>
  );
}
