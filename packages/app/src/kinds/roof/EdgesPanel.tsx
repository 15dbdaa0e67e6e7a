import {
  EDGE_ENDS,
  type EdgeEnd,
  enteredRoofPitch,
  formatLength,
  halfHipOf,
  IN_LINE,
  type InLine,
  MOST_EDGES,
  outlineOfRoof,
  pitchWays,
  type Roof,
  type RoofEdge,
  roofEdgeName,
  roofEdgesInLineWith,
  slopeOfEdge,
  withEdgeAfter,
  withEdgeEnd,
  withEdgeOwn,
  withEdgeTurn,
  withHipBy,
  withoutEdge,
} from "@wide-porch/core";
import { Pressable, View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Body, Faint, Figure, Title } from "../../components/Text";
import { Plus, Trash2 } from "../../icons";
import { useJob } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import type { PanelProps } from "./panelProps";

const END_WORDS: Readonly<Record<EdgeEnd, string>> = {
  eave: "Eave",
  gable: "Gable",
  "half-hip": "Half-hip",
  wall: "Against a wall",
  roof: "Runs into another roof",
  open: "Open end",
};
const ENDS = EDGE_ENDS.map((value) => ({ value, label: END_WORDS[value] }));

const TURNS = [
  { value: 90, label: "Left" },
  { value: -90, label: "Right" },
  { value: 45, label: "Another angle" },
];

type Props = PanelProps & {
  readonly chosen: string | undefined;
  readonly onChoose: (edgeId: string | undefined) => void;
};

/** Every edge in the order it is walked; a press on one opens what can be said of it. */
export function EdgesPanel({ chosen, onChoose, ...props }: Props) {
  const { roof } = props;
  return (
    <View className="gap-1">
      <Title level={2}>Edges</Title>
      <Faint>Along the outside of the walls, with the house at your left hand.</Faint>
      {roof.edges.map((edge) => (
        <View key={edge.id} className="border-b border-rule">
          <EdgeRow
            roof={roof}
            edge={edge}
            open={edge.id === chosen}
            onPress={() => onChoose(edge.id === chosen ? undefined : edge.id)}
          />
          {edge.id === chosen ? <EdgeTools {...props} edge={edge} onGone={() => onChoose(undefined)} /> : null}
        </View>
      ))}
    </View>
  );
}

type RowProps = { readonly roof: Roof; readonly edge: RoofEdge; readonly open: boolean; readonly onPress: () => void };

function EdgeRow({ roof, edge, open, onPress }: RowProps) {
  const { context } = useJob("context");
  const { valueNm, assumed } = edge.length;
  const length = valueNm === null ? "not measured" : formatLength(valueNm, context.system);
  const slopes = edge.end === "eave" || edge.end === "half-hip";
  const { pitch, overhangNm } = slopeOfEdge(roof, edge);
  const said = [
    END_WORDS[edge.end],
    ...(slopes && pitch > 0 ? [pitchWays(pitch, context.system)[0] ?? ""] : []),
    ...(overhangNm > 0 ? [`${formatLength(overhangNm, context.system)} over`] : []),
  ].join(", ");
  const name = roofEdgeName(roof, edge.id);
  return (
    <Pressable
      role="button"
      aria-expanded={open}
      aria-label={`${name}: ${length}${assumed ? ", assumed" : ""}, ${said}`}
      onPress={onPress}
      className={`min-h-12 flex-row items-center justify-between gap-3 py-1 active:bg-pine-wash ${open ? "bg-pine-wash" : ""}`}
    >
      <View className="min-w-0 flex-1">
        <Body>{name}</Body>
        <Faint>{said}</Faint>
      </View>
      {assumed ? <Faint className="text-clay">assumed</Faint> : null}
      <Figure className={valueNm === null ? "text-clay" : ""}>{length}</Figure>
    </Pressable>
  );
}

const HIP_BY = [
  { value: "height", label: "Its height" },
  { value: "width", label: "Its width" },
] as const;

/** Which of its two figures a half-hip is given by; the other is shown. */
function HipGiven({ roof, edge, onChange }: Pick<Props, "roof" | "onChange"> & { readonly edge: RoofEdge }) {
  const { context } = useJob("context");
  const outline = outlineOfRoof(roof);
  const both = outline.ok ? halfHipOf(roof, outline.edges, edge.id) : undefined;
  const say = (nm: number) => formatLength(nm, context.system);
  return (
    <View className="gap-1">
      <Choice
        label={`Half-hip of ${roofEdgeName(roof, edge.id)} is given by`}
        options={HIP_BY}
        value={edge.hipWidth.valueNm === null ? "height" : "width"}
        onChange={(by) => onChange((now) => withHipBy(now, edge.id, by))}
      />
      {both ? (
        <Faint>{`It begins ${say(both.heightNm)} above the plate, where it is ${say(both.widthNm)} wide.`}</Faint>
      ) : null}
    </View>
  );
}

const IN_LINE_WORDS: Readonly<Record<InLine, string>> = {
  step: "A wall between them",
  flatter: "The flatter pitch for all",
  steeper: "The steeper pitch for all",
};
const WAYS_IN_LINE = IN_LINE.map((value) => ({ value, label: IN_LINE_WORDS[value] }));

/** Where an edge goes on in one line with edges of other pitches: what becomes of the pitches. */
function InOneLine({ roof, edge, onChange }: Pick<Props, "roof" | "onChange"> & { readonly edge: RoofEdge }) {
  const { context } = useJob("context");
  const line = roofEdgesInLineWith(roof, edge);
  const entered = line.map((each) => enteredRoofPitch(roof, each));
  if (new Set(entered).size < 2) return null;
  const say = (pitch: number) => pitchWays(pitch, context.system)[0] ?? "";
  const others = line.filter(({ id }) => id !== edge.id).map(({ id }) => roofEdgeName(roof, id));
  const { pitch } = slopeOfEdge(roof, edge);
  const own = enteredRoofPitch(roof, edge);
  const taken = pitch === own ? "" : ` It was entered as ${say(own)} and is built at ${say(pitch)}.`;
  return (
    <View className="gap-1">
      <Choice
        label="Unequal pitches in one line"
        options={WAYS_IN_LINE}
        value={roof.inLine}
        onChange={(inLine) => onChange((now) => ({ ...now, inLine }))}
      />
      <Faint>{`In one line with ${others.join(", ")}.${taken}`}</Faint>
    </View>
  );
}

type ToolsProps = Omit<Props, "chosen" | "onChoose"> & { readonly edge: RoofEdge; readonly onGone: () => void };

function EdgeTools({ roof, edge, slots, active, onChange, onFigure, onGone }: ToolsProps) {
  const { context } = useJob("context");
  const { system } = context;
  const { id } = edge;
  const own = slots.filter(({ path }) => path.startsWith(`edges.${id}.`));
  const square = Math.abs(edge.turnDegrees) === 90;
  const name = roofEdgeName(roof, id);
  const slopes = edge.end === "eave" || edge.end === "half-hip";
  const hangs = edge.end !== "wall" && edge.end !== "open" && edge.end !== "roof";
  const has = { pitch: edge.pitch.value !== null, overhang: edge.overhang.valueNm !== null };
  const toggle = (which: "pitch" | "overhang", words: string) => (
    <Button
      label={has[which] ? `${words} as the roof's` : `${words} of its own`}
      kind="plain"
      onPress={() => {
        const done = onChange((now) => withEdgeOwn(now, id, which, !has[which]));
        if (done && !has[which]) onFigure(`edges.${id}.${which}`);
      }}
    />
  );
  return (
    <View className="gap-3 pb-3">
      <FigureList
        slots={own.map((slot) => ({ ...slot, of: "" }))}
        activePath={active}
        onOpen={onFigure}
        title={`Figures of ${name}`}
      />
      <Choice
        label={`${name} ends as`}
        options={ENDS}
        value={edge.end}
        onChange={(end) => onChange((now) => withEdgeEnd(now, id, end, system))}
      />
      <InOneLine roof={roof} edge={edge} onChange={onChange} />
      {edge.end === "half-hip" ? <HipGiven roof={roof} edge={edge} onChange={onChange} /> : null}
      <Choice
        label={`Turn after ${name}`}
        options={TURNS}
        value={square ? edge.turnDegrees : 45}
        onChange={(degrees) => {
          if (degrees === 45 && !square) onFigure(`edges.${id}.turn`);
          else onChange((now) => withEdgeTurn(now, id, degrees));
        }}
      />
      <View className="flex-row flex-wrap gap-2">
        {slopes ? toggle("pitch", "Pitch") : null}
        {hangs ? toggle("overhang", "Overhang") : null}
        {roof.edges.length < MOST_EDGES ? (
          <Button
            label="An edge after it"
            kind="plain"
            icon={Plus}
            onPress={() => onChange((now) => withEdgeAfter(now, id))}
          />
        ) : null}
        {roof.edges.length > 3 ? (
          <Button
            label="Take it out"
            name={`Take ${name} out`}
            kind="plain"
            icon={Trash2}
            onPress={() => {
              if (onChange((now) => withoutEdge(now, id))) onGone();
            }}
          />
        ) : null}
      </View>
    </View>
  );
}
