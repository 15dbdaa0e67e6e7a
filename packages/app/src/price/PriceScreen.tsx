import { soMany } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { ScrollView, View } from "react-native";
import { Compare } from "../compare/Compare";
import { Button } from "../components/Button";
import { Folded } from "../components/Folded";
import { Strong } from "../components/Text";
import { Waiting } from "../components/Waiting";
import { useJob } from "../job/JobContext";
import { STAGE_WORDS } from "../jobs/jobWords";
import { useWide } from "../theme/useWide";
import { AboutJob } from "./AboutJob";
import { Conditions } from "./Conditions";
import { CostToPrice } from "./CostToPrice";
import { Crews } from "./Crews";
import { Extras } from "./Extras";
import { FormerTotal } from "./FormerTotal";
import { HandOrMachine } from "./HandOrMachine";
import { HowReckoned } from "./HowReckoned";
import { JobPrices } from "./JobPrices";
import { LabourRates } from "./LabourRates";
import { NoCosts } from "./NoCosts";
import { Options } from "./Options";
import { Preliminaries } from "./Preliminaries";
import { PriceHead } from "./PriceHead";
import { Rise } from "./Rise";
import { Taxes } from "./Taxes";
import { TradeMarkups } from "./TradeMarkups";

/** From cost to price, and what it follows from. */
export function PriceScreen() {
  const { reckoning, record, jobId, trial, startTrial } = useJob("reckoning", "record", "jobId", "trial", "startTrial");
  const wide = useWide();
  const { pricing } = record.job;
  if (pricing === null) return <NoCosts />;
  const buildUp = reckoning?.buildUp;
  if (!buildUp) return <Waiting what="the price" />;
  return (
    <ScrollView
      className="min-h-0 flex-1"
      contentContainerClassName={`mx-auto w-full gap-6 p-4 pb-10 ${wide ? "max-w-5xl flex-row" : "max-w-xl"}`}
    >
      <View className={`gap-4 ${wide ? "min-w-0 flex-1" : ""}`}>
        <FormerTotal />
        <PriceHead buildUp={buildUp} />
        <CostToPrice buildUp={buildUp} pricing={pricing} />
      </View>
      <View className={`gap-6 ${wide ? "w-[380px]" : ""}`}>
        <View className="gap-3">
          <Link href={`/jobs/${jobId}/price/worksheet` as Href}>
            <Strong className="text-pine underline">Open the worksheet</Strong>
          </Link>
          {trial ? null : <Button label="Try a change" kind="plain" onPress={startTrial} />}
          <Link href={"/price-list" as Href}>
            <Strong className="text-pine underline">Open the price list</Strong>
          </Link>
        </View>
        <Compare />
        <JobPrices />
        <Options options={buildUp.options ?? []} />
        <Extras pricing={pricing} />
        <Folded title="Preliminaries">
          <Preliminaries pricing={pricing} />
        </Folded>
        <Folded title="By hand or by machine">
          <HandOrMachine pricing={pricing} />
        </Folded>
        <Folded title="Labour" under={`${buildUp.labourHours} h in all`}>
          <LabourRates pricing={pricing} />
        </Folded>
        <Folded title="Crews" under={said(pricing.crews.map(({ name }) => name))}>
          <Crews pricing={pricing} />
        </Folded>
        <Folded title="Conditions" under={said(pricing.conditions.map(({ name }) => name))}>
          <Conditions pricing={pricing} />
        </Folded>
        <Folded title="Until the work starts" under={monthsWords(pricing.escalation.months)}>
          <Rise pricing={pricing} />
        </Folded>
        <Folded title="Markup of trades" under={said(pricing.markupByTrade.map(({ trade }) => trade))}>
          <TradeMarkups pricing={pricing} />
        </Folded>
        <Folded title="Tax" under={`${pricing.tax.name}, ${pricing.tax.percent} %`}>
          <Taxes pricing={pricing} />
        </Folded>
        <Folded title="This job" under={STAGE_WORDS[record.job.stage]}>
          <AboutJob />
        </Folded>
        <Folded title="How steps are reckoned">
          <HowReckoned pricing={pricing} />
        </Folded>
      </View>
    </ScrollView>
  );
}

const said = (names: readonly string[]): string => (names.length === 0 ? "None" : names.join(", "));
const monthsWords = (months: number): string => (months === 0 ? "Soon" : `${soMany(months, "month", "months")}`);
