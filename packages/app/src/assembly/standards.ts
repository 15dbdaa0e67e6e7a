import type { AssemblyTable, MeasuringSystem, PriceItem } from "@wide-porch/core";
import { plural } from "@wide-porch/core";
import { useMemo } from "react";
import useSWR from "swr";
import { priceListSchema, standardListSchema } from "../api/records";
import type { PickerOption } from "../components/Picker";
import { askKept } from "../device/kept";

const STANDARDS = "/standards";
const PRICES = "/price-list";

export const useStandards = () => useSWR(STANDARDS, () => askKept(standardListSchema, STANDARDS, STANDARDS));

/** Tables of the company's house standards of a system, each name once. */
export function useCompanyTables(system: MeasuringSystem): readonly AssemblyTable[] {
  const items = useStandards().data?.items;
  return useMemo(() => {
    const own = (items ?? []).filter((each) => each.standard.system === system && !each.retired);
    return [...new Map(own.flatMap(({ standard }) => standard.tables).map((table) => [table.name, table])).values()];
  }, [items, system]);
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Groups by what codes begin with, each before its own items. */
export function wasteOptionsOf(items: readonly PriceItem[]): PickerOption[] {
  const groups = new Map<string, PriceItem[]>();
  for (const item of items) {
    const start = item.code.includes("/") ? `${item.code.split("/")[0]}/` : item.code;
    groups.set(start, [...(groups.get(start) ?? []), item]);
  }
  return [...groups].flatMap(([start, members]): PickerOption[] => {
    const own = members.map((item) => ({ value: item.code, label: item.name }));
    const [only] = members;
    if (start === only?.code) return own;
    const said = plural(members.length, "1 item", `${members.length} items`);
    return [{ value: start, label: `All of “${capital(start.slice(0, -1))}”`, under: said }, ...own];
  });
}

/** What a standard's lines can be for: items and groups of the price list, and labour tasks. */
export function useStandardOptions(system: MeasuringSystem) {
  const prices = useSWR(PRICES, () => askKept(priceListSchema, PRICES, PRICES)).data;
  const tasks = useStandards().data?.tasks;
  return useMemo(() => {
    // Nails and boards of one system are bought for jobs of the other as well, where nothing else is sold.
    const items = (prices?.items ?? []).map((each) => each.item);
    const own = items.filter((item) => item.system === system);
    const others = items.filter((item) => item.system !== system && !own.some((each) => each.code === item.code));
    return {
      wasteOptions: wasteOptionsOf([...own, ...others]),
      taskOptions: [
        { value: "", label: "Every task" },
        ...(tasks ?? []).map(({ id, name }) => ({ value: id, label: name })),
      ],
    };
  }, [prices, tasks, system]);
}
