import { formatMoney, type JobOption } from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../components/Choice";
import { Body, Faint, Figure, Strong, Title } from "../components/Text";
import { useJob } from "../job/JobContext";

const TAKE: readonly { readonly value: boolean; readonly label: string }[] = [
  { value: false, label: "Apart" },
  { value: true, label: "In the price" },
];

/** What the customer can take or leave, each with what it adds to the total. */
export function Options({ options }: { readonly options: readonly JobOption[] }) {
  const { record, changeJob } = useJob("record", "changeJob");
  if (options.length === 0) return null;
  const put = (name: string, take: boolean) =>
    changeJob(({ optionsTaken }) => ({
      optionsTaken: take
        ? [...optionsTaken.filter((each) => each !== name), name]
        : optionsTaken.filter((each) => each !== name),
    }));
  return (
    <View className="gap-2">
      <Title level={2}>Options</Title>
      <Faint>What each adds to the total to pay, with all that follows from it. The quote shows them.</Faint>
      {options.map(({ name, taken, difference, words }) => (
        <View key={name} className="gap-1 border-b border-rule pb-3">
          <View className="flex-row items-baseline justify-between gap-3">
            <Strong className="min-w-0 flex-1">{name}</Strong>
            <Figure>{formatMoney(difference, record.job.currency)}</Figure>
          </View>
          <Body>{words.join(" ")}</Body>
          <Choice label={`${name} is`} options={TAKE} value={taken} onChange={(take) => put(name, take)} />
        </View>
      ))}
    </View>
  );
}
