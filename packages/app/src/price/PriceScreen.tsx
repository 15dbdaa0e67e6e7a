import { type Href, Link } from "expo-router";
import { ScrollView, View } from "react-native";
import { Strong } from "../components/Text";
import { Waiting } from "../components/Waiting";
import { useJob } from "../job/JobContext";
import { useWide } from "../theme/useWide";
import { Compare } from "./Compare";
import { CostToPrice } from "./CostToPrice";
import { Crews } from "./Crews";
import { Extras } from "./Extras";
import { LabourRates } from "./LabourRates";
import { NoCosts } from "./NoCosts";
import { Options } from "./Options";
import { Rise } from "./Rise";

/** From cost to price, and what it follows from. */
export function PriceScreen() {
  const { reckoning, record, jobId } = useJob("reckoning", "record", "jobId");
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
      <View className={wide ? "min-w-0 flex-1" : ""}>
        <CostToPrice buildUp={buildUp} pricing={pricing} />
      </View>
      <View className={`gap-6 ${wide ? "w-[380px]" : ""}`}>
        <View className="gap-3">
          <Link href={`/jobs/${jobId}/price/worksheet` as Href}>
            <Strong className="text-pine underline">Open the worksheet</Strong>
          </Link>
          <Link href={"/price-list" as Href}>
            <Strong className="text-pine underline">Open the price list</Strong>
          </Link>
        </View>
        <Compare />
        <Options options={buildUp.options ?? []} />
        <Extras pricing={pricing} />
        <LabourRates pricing={pricing} />
        <Crews pricing={pricing} />
        <Rise pricing={pricing} />
      </View>
    </ScrollView>
  );
}
