import { formatMetres, metres, parseLength } from "@wide-porch/core";
import { useEffect, useRef, useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Body, Faint, Figure, Title } from "../components/Text";
import { TextField } from "../components/TextField";
import { type MeterPanel, openMeterPanel } from "./simulatedMeter";

const SILENCE_MS = 1200;

const TAKEN = { entry: "In the open entry", waiting: "Waiting in the app, to be picked" };

/** The simulated distance meter's own face: point it at a distance, press, and the reading goes to the app. */
export function MeterPanelScreen() {
  const [distance, setDistance] = useState("3.512");
  const [state, setState] = useState("Ready");
  const panel = useRef<MeterPanel>(undefined);
  const silence = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    const opened = openMeterPanel((where) => {
      clearTimeout(silence.current);
      setState(TAKEN[where]);
    });
    panel.current = opened;
    return () => {
      clearTimeout(silence.current);
      opened.close();
    };
  }, []);
  const read = parseLength(distance.trim() === "" ? "" : `${distance} m`, "metric");
  const usable = read.ok && read.value > 0 && read.value <= metres(60);
  const problem = usable ? undefined : "The meter reaches from 0.001 to 60 metres.";
  const measure = () => {
    if (!read.ok || !usable) return;
    setState("Sent");
    clearTimeout(silence.current);
    silence.current = setTimeout(() => setState("No answer: is a job open in this browser?"), SILENCE_MS);
    panel.current?.send(formatMetres(read.value));
  };
  return (
    <View role="main" className="flex-1 items-center bg-paper p-6">
      <View className="w-full max-w-sm gap-5 rounded-2xl border-2 border-ink bg-sheet p-5">
        <View>
          <Title level={1} className="text-xl">
            Distance meter
          </Title>
          <Faint>A simulated device. It sends to a job open in this browser.</Faint>
        </View>
        <View className="rounded-md border border-rule bg-pine-wash p-4">
          <Figure className="text-3xl leading-10">{read.ok && usable ? formatMetres(read.value) : "– –"}</Figure>
          <Body role="status" aria-live="polite">
            {state}
          </Body>
        </View>
        <TextField
          label="Distance to the wall, in metres"
          value={distance}
          onChangeText={setDistance}
          inputMode="decimal"
          problem={problem}
          onSubmitEditing={measure}
        />
        <Button label="Measure" disabled={!usable} onPress={measure} />
      </View>
    </View>
  );
}
