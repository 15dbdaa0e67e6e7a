import { assemblyId, type HouseStandard, type MeasuringSystem } from "@wide-porch/core";
import { useState } from "react";
import { ScrollView, View } from "react-native";
import { seesCosts, useSession } from "../api/session";
import { AddEntry } from "../components/AddEntry";
import { Choice } from "../components/Choice";
import { PageBar } from "../components/PageBar";
import { Body } from "../components/Text";
import { Pending } from "../components/Waiting";
import { Plus } from "../icons";
import { StandardForm } from "./StandardForm";
import { useStandards } from "./standards";

const SYSTEMS = [
  { value: "imperial", label: "Feet and inches" },
  { value: "metric", label: "Metric" },
] as const;

/** The company's ways of building: sets of defaults over its assemblies, changed in one place. */
export function StandardsScreen() {
  const session = useSession().data;
  const list = useStandards();
  const [system, setSystem] = useState<MeasuringSystem>("imperial");
  const [started, setStarted] = useState<HouseStandard>();
  if (!session) return null;
  const mayChange = seesCosts(session);
  const records = (list.data?.items ?? []).filter((each) => each.standard.system === system);
  const start = (plain: string) => {
    const taken = new Set(records.map((each) => each.standard.id));
    setStarted({
      schemaVersion: 2,
      id: assemblyId(plain, taken),
      version: 1,
      name: plain,
      system,
      parameters: [],
      waste: [],
      productivity: [],
      tables: [],
    });
  };
  return (
    <View className="min-h-0 flex-1">
      <PageBar title="House standards" backName="Back to assemblies" backTo="/assemblies" />
      <ScrollView
        role="main"
        className="min-h-0 flex-1"
        contentContainerClassName="mx-auto w-full max-w-3xl gap-6 p-4 pb-10"
      >
        <Body>
          How you build until somebody says otherwise. A job takes a standard, and sees what a newer one changes.
        </Body>
        <Choice label="Measuring system" options={SYSTEMS} value={system} onChange={setSystem} />
        {list.data ? (
          records.map((record) => (
            <StandardForm
              key={`${record.standard.system}/${record.standard.id}@${record.standard.version}`}
              stored={record.standard}
              base={record.standard.version}
              mayChange={mayChange}
            />
          ))
        ) : (
          <Pending error={list.error} what="the standards" retry={() => void list.mutate()} />
        )}
        {started && started.system === system && !records.some((each) => each.standard.id === started.id) ? (
          <StandardForm key={`${started.system}/${started.id}`} stored={started} base={0} mayChange={mayChange} />
        ) : null}
        {mayChange ? (
          <AddEntry
            label="Name of a new standard"
            button="Start a standard"
            icon={Plus}
            most={80}
            empty="Give it a name first."
            onAdd={start}
          />
        ) : null}
      </ScrollView>
    </View>
  );
}
