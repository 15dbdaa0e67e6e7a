import {
  courtyardName,
  formatLength,
  MOST_COURTYARDS,
  outlineOfRoof,
  outsideRing,
  ROOF_SHAPES,
  type Roof,
  type RoofShape,
  roofOverStorey,
  SHAPE_WORDS,
  withCourtyard,
  withFlat,
  withoutBreak,
  withoutCourtyard,
  withoutFlat,
  withShape,
  withTwoPitches,
} from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Faint, Title } from "../../components/Text";
import { Trash2 } from "../../icons";
import { useJob } from "../../job/JobContext";
import { useJobLater } from "../../job/useJobLater";
import { FigureList } from "../../measure/FigureList";
import { newId } from "../../sync/newId";
import type { PanelProps, RoofChange } from "./panelProps";

const MEASURED = [
  { value: "level", label: "Level" },
  { value: "slope", label: "Along the slope" },
] as const;

/** Where the outline is from, the shapes that a press gives, and what holds for the whole roof. */
export function ShapePanel({ roof, slots, active, onChange, onFigure }: PanelProps) {
  const { context } = useJob("context");
  const { plan } = useJobLater("plan");
  const { system } = context;
  const storeys = plan.storeys.filter((storey) => outsideRing(storey).length > 0);
  const shape = (to: RoofShape) => onChange((now) => withShape(now, to, system));
  const outline = outlineOfRoof(roof);
  const courtyard: RoofChange = (now) => {
    const walked = outlineOfRoof(now);
    return walked.ok ? withCourtyard(now, newId().slice(0, 8), walked, system) : now;
  };
  const flat = roof.flatHeight.valueNm !== null;
  const broken = roof.breakHeight.valueNm !== null || roof.upperPitch.value !== null;
  return (
    <View className="gap-4">
      <View className="gap-2">
        <Title level={2}>Shape</Title>
        <Faint>A shape keeps the figures that were measured. Any edge can be changed afterwards.</Faint>
        <View className="flex-row flex-wrap gap-2">
          {ROOF_SHAPES.map((each) => (
            <Button key={each} label={SHAPE_WORDS[each]} kind="plain" onPress={() => shape(each)} />
          ))}
        </View>
        {storeys.map((storey) => (
          <Button
            key={storey.name}
            label={`From the outside of ${storey.name || "the house"}`}
            kind="plain"
            onPress={() => onChange((now) => roofOverStorey(now, storey))}
          />
        ))}
      </View>
      <View className="gap-2">
        <Choice
          label="Overhangs of eaves are measured"
          options={MEASURED}
          value={roof.overhangMeasured}
          onChange={(overhangMeasured) => onChange((now) => ({ ...now, overhangMeasured }))}
        />
        <Faint>{overhangWords(roof, system)}</Faint>
      </View>
      <View className="flex-row flex-wrap gap-2">
        <Button
          label={broken ? "One pitch all the way up" : "Another pitch from a height up"}
          kind="plain"
          onPress={() => onChange((now) => (broken ? withoutBreak(now) : withTwoPitches(now, system)))}
        />
        {roof.courtyards.length < MOST_COURTYARDS && outline.ok ? (
          <Button label="A courtyard in it" kind="plain" onPress={() => onChange(courtyard)} />
        ) : null}
        <Button
          label={flat ? "No flat at the top" : "A flat at the top"}
          kind="plain"
          onPress={() => onChange((now) => (flat ? withoutFlat(now) : withFlat(now, system)))}
        />
      </View>
      {roof.courtyards.map(({ id }) => {
        const name = courtyardName(roof, id);
        return (
          <View key={id} className="gap-2">
            <FigureList
              slots={slots
                .filter(({ path }) => path.startsWith(`courtyards.${id}.`))
                .map((slot) => ({ ...slot, of: "" }))}
              activePath={active}
              onOpen={onFigure}
              title={name}
            />
            <View className="flex-row">
              <Button
                label="Take it out"
                name={`Take out: ${name}`}
                kind="quiet"
                icon={Trash2}
                onPress={() => onChange((now) => withoutCourtyard(now, id))}
              />
            </View>
          </View>
        );
      })}
    </View>
  );
}

/** The overhang by both ways of measuring it. */
function overhangWords({ overhang, overhangMeasured, pitch }: Roof, system: "imperial" | "metric"): string {
  if (overhang.valueNm === null || pitch.value === null) return "";
  const secant = Math.hypot(1, pitch.value);
  const level = overhangMeasured === "level" ? overhang.valueNm : overhang.valueNm / secant;
  const say = (nm: number) => formatLength(Math.round(nm), system);
  return `At the roof's pitch ${say(level)} level is ${say(level * secant)} along the slope.`;
}
