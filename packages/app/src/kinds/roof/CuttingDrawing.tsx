import { type FramingPiece, formatLength, type MeasuringSystem, pitchWays, type TimberRow } from "@wide-porch/core";
import { View } from "react-native";
import Svg, { Path } from "react-native-svg";
import { Button } from "../../components/Button";
import { PrintPaper } from "../../components/PrintPaper";
import { Body, Faint, Figure } from "../../components/Text";
import { Printer } from "../../icons";
import { useJob } from "../../job/JobContext";
import { TONES } from "../../theme/tokens";
import { useTokens } from "../../theme/useTokens";
import { roleWords } from "./roleWords";

type Box = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
type Corner = readonly [x: number, y: number];

const MM_PER_M = 1000;

/** The side of a piece in millimetres, y down as on the page. */
const sideOf = ({ inSpace }: FramingPiece): Corner[] =>
  (inSpace?.outline ?? []).map(([along, up]) => [along * MM_PER_M, -up * MM_PER_M]);

function around(corners: readonly Corner[], margin: number): Box {
  const xs = corners.map(([x]) => x);
  const ys = corners.map(([, y]) => y);
  const [x, y] = [Math.min(...xs) - margin, Math.min(...ys) - margin];
  return { x, y, width: Math.max(...xs) + margin - x, height: Math.max(...ys) + margin - y };
}

type Props = { readonly row: TimberRow; readonly partName: string };

/** One piece from its side: the whole of it, its foot and its head, and everything that is marked on it. */
export function CuttingDrawing({ row, partName }: Props) {
  const { context } = useJob("context");
  const { system } = context;
  const facts = factsOf(row, system);
  const words = roleWords(row.role, row.count);
  const section = context.sections[row.sectionId]?.name ?? row.sectionId;
  const title = `${row.count} ${words} of ${section}`;
  const sketches = (
    <Sketches piece={row.piece} said={`${words}, cut ${formatLength(row.trueNm, system)}, from the side`} />
  );
  const list = facts.map(([label, value]) => (
    <View key={label} className="flex-row justify-between gap-3 border-b border-rule py-1">
      <Body className="min-w-0 flex-1">{label}</Body>
      <Figure className="text-base">{value}</Figure>
    </View>
  ));
  return (
    <View className="gap-3">
      <Faint>{title}</Faint>
      {sketches}
      <View>{list}</View>
      <Button label="Print" kind="plain" icon={Printer} onPress={() => window.print()} />
      <PrintPaper title={title} under={partName}>
        {sketches}
        <View>{list}</View>
      </PrintPaper>
    </View>
  );
}

function Sketches({ piece, said }: { readonly piece: FramingPiece; readonly said: string }) {
  const corners = sideOf(piece);
  if (corners.length < 3) return null;
  const whole = around(corners, 60);
  if (!piece.cut) return <Sketch corners={corners} box={whole} said={said} heightPx={70} />;
  const near = 2.6 * (piece.cut.seatNm > 0 ? Math.max(piece.cut.heelNm * 3, piece.cut.seatNm) / 1e6 : 120);
  const foot: Box = { x: -near * 0.6, y: -near * 0.75, width: near * 1.5, height: near };
  const head = corners.reduce((a, b) => (b[0] > a[0] || (b[0] === a[0] && b[1] < a[1]) ? b : a));
  const top: Box = { x: head[0] - near * 1.3, y: head[1] - near * 0.2, width: near * 1.5, height: near };
  return (
    <View className="gap-2">
      <Sketch corners={corners} box={whole} said={said} heightPx={170} />
      <View className="flex-row gap-2">
        <View className="min-w-0 flex-1">
          <Sketch corners={corners} box={foot} said="Its foot" heightPx={130} />
          <Faint>Foot, enlarged</Faint>
        </View>
        <View className="min-w-0 flex-1">
          <Sketch corners={corners} box={top} said="Its head" heightPx={130} />
          <Faint>Head, enlarged</Faint>
        </View>
      </View>
    </View>
  );
}

type SketchProps = {
  readonly corners: readonly Corner[];
  readonly box: Box;
  readonly said: string;
  readonly heightPx: number;
};

function Sketch({ corners, box, said, heightPx }: SketchProps) {
  const { colour } = useTokens();
  const path = `M${corners.map((corner) => corner.join(" ")).join("L")}Z`;
  const { x, y, width, height } = box;
  return (
    <View role="img" aria-label={said} style={{ height: heightPx }} className="w-full border border-rule bg-paper">
      <Svg width="100%" height={heightPx} viewBox={`${x} ${y} ${width} ${height}`}>
        <Path d={path} fill={TONES.stud} stroke={colour("ink")} strokeWidth={1} vectorEffect="non-scaling-stroke" />
      </Svg>
    </View>
  );
}

const degrees = (value: number): string => `${Number(value.toFixed(2))}°`;

/** What is marked on a piece, in the order it is marked. */
function factsOf({ piece, boughtNm }: TimberRow, system: MeasuringSystem): readonly (readonly [string, string])[] {
  const say = (nm: number) => formatLength(nm, system);
  const bought = boughtNm === undefined ? "none is so long" : say(boughtNm);
  const { cut } = piece;
  if (!cut)
    return [
      ["Cut to", say(piece.cutLengthNm)],
      ["Cut from", bought],
    ];
  const some = (label: string, nm: number): (readonly [string, string])[] => (nm > 0 ? [[label, say(nm)]] : []);
  const angle = (label: string, value: number): (readonly [string, string])[] =>
    Math.abs(value) > 0.005 ? [[label, degrees(value)]] : [];
  /** Between equal slopes one angle; between unequal ones each side has its own. */
  const backing = ([first = 0, second = first]: readonly number[]): (readonly [string, string])[] =>
    Math.abs(first - second) < 0.05
      ? angle("Top edge planed to each side", first)
      : [...angle("Top edge planed to the one side", first), ...angle("Top edge planed to the other", second)];
  return [
    ["Pitch of the piece", pitchWays(cut.pitch, system).slice(0, 2).join(" · ")],
    ["On plan", say(cut.runNm)],
    ["Along the slope", say(cut.lineNm)],
    ...some("Taken off at the head, level", cut.headOffNm),
    ...some("Taken off at the foot, level", cut.footOffNm),
    ["Along the slope, shortened", say(cut.shortenedNm)],
    ...some("Tail beyond the plate", cut.tailNm),
    ["Cut to", say(piece.cutLengthNm)],
    ["Cut from", bought],
    ["Plumb cut, from square", degrees(cut.plumbDegrees)],
    ["Seat cut, from square", degrees(cut.seatDegrees)],
    ...some("Notch: seat, level", cut.seatNm),
    ...some("Notch: heel, plumb", cut.heelNm),
    ...angle("Side cut at the head, on plan", cut.headBevelDegrees),
    ...angle("Side cut at the foot, on plan", cut.footBevelDegrees),
    ...backing(cut.backingDegrees),
  ];
}
