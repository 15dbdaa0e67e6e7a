import { assumedDimension, type Dimension, type FigureSlot, unmeasured } from "@wide-porch/core";
import type { ReactNode } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Trash2 } from "../icons";
import { FigureList } from "../measure/FigureList";

/** Something that runs along the first edge of an outline or across it, spaced evenly or placed: a rib, a footing within. */
export type Band = { readonly id: string; readonly runs: "along" | "across"; readonly at: Dimension };

type Props<B extends Band> = {
  readonly bands: readonly B[];
  /** Where their figures are kept: `ribs`. */
  readonly list: string;
  /** What the first edge is called: `Edge A`. */
  readonly firstEdge: string;
  readonly edges: readonly { readonly length: Dimension }[];
  readonly nameOf: (id: string) => string;
  readonly slots: readonly FigureSlot[];
  readonly active: string | undefined;
  readonly onChange: (change: (bands: readonly B[]) => B[]) => void;
  readonly onFigure: (path: string) => void;
  readonly children?: ReactNode;
};

/** Figures of one thing within a part, under a heading of their own. */
export const ownSlots = (slots: readonly FigureSlot[], start: string): FigureSlot[] =>
  slots.filter(({ path }) => path.startsWith(start)).map((slot) => ({ ...slot, of: "" }));

export function Bands<B extends Band>(props: Props<B>) {
  const { bands, list, firstEdge, edges, nameOf, slots, active, onChange, onFigure, children } = props;
  const runs = [
    { value: "along", label: `Along ${firstEdge}` },
    { value: "across", label: "Across it" },
  ] as const;
  const change = (id: string, to: (band: B) => B) =>
    onChange((now) => now.map((band) => (band.id === id ? to(band) : band)));
  /** Half way over, until somebody says where. */
  const half = ({ runs: way }: Band) =>
    assumedDimension(Math.round((edges[way === "along" ? 1 : 0]?.length.valueNm ?? 0) / 2));
  return (
    <View className="gap-3">
      {bands.map((band) => {
        const name = nameOf(band.id);
        const placed = band.at.valueNm !== null || band.at.refused !== undefined;
        return (
          <View key={band.id} className="gap-2">
            <FigureList
              slots={ownSlots(slots, `${list}.${band.id}.`)}
              activePath={active}
              onOpen={onFigure}
              title={name}
            />
            <Choice
              label={`${name} runs`}
              options={runs}
              value={band.runs}
              onChange={(to) => change(band.id, (now) => ({ ...now, runs: to }))}
            />
            <View className="flex-row flex-wrap gap-2">
              <Button
                label={placed ? "Space it evenly" : "Place it"}
                name={placed ? `Space ${name} evenly` : `Place ${name}`}
                kind="quiet"
                onPress={() => change(band.id, (now) => ({ ...now, at: placed ? unmeasured : half(now) }))}
              />
              <Button
                label="Take it out"
                name={`Take out: ${name}`}
                kind="quiet"
                icon={Trash2}
                onPress={() => onChange((now) => now.filter(({ id }) => id !== band.id))}
              />
            </View>
          </View>
        );
      })}
      {children}
    </View>
  );
}
