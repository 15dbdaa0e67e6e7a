import type { HouseStandard } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { ask } from "../api/client";
import { usualStandardsSchema } from "../api/records";
import { Button } from "../components/Button";
import { Faint, Strong, Warning } from "../components/Text";
import { useStandards } from "./standards";

type Props = { readonly standard: HouseStandard; readonly mayChange: boolean };

/** Whether new jobs start with this standard, and the way to have them do so. */
export function UsualStandard({ standard, mayChange }: Props) {
  const list = useStandards();
  const [failure, setFailure] = useState<string>();
  const isUsual = list.data?.usual[standard.system] === standard.id;
  const choose = async (id: string | null) => {
    setFailure(undefined);
    try {
      await ask(usualStandardsSchema, "PUT", `/standards/${standard.system}/usual`, { id });
      await list.mutate();
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <View className="gap-1">
      <View className="flex-row flex-wrap items-center justify-between gap-2">
        {isUsual ? (
          <Strong className="text-pine">New jobs start with it</Strong>
        ) : (
          <Faint>New jobs do not start with it</Faint>
        )}
        {mayChange ? (
          <Button
            label={isUsual ? "Start jobs without" : "Start jobs with it"}
            name={isUsual ? `Start new jobs without ${standard.name}` : `Start new jobs with ${standard.name}`}
            kind="quiet"
            onPress={() => void choose(isUsual ? null : standard.id)}
          />
        ) : null}
      </View>
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}
