import type { FramingPiece, Piece } from "../../drawing/piece";
import type { JoistChoices } from "../../joists/choices";
import type { Joisted } from "../../joists/schema";
import type { PartContext } from "../../kinds";
import { beamPieces } from "./beams";
import { blockingOf, strapsOf } from "./blocking";
import { type CutJoist, cutJoists, type WithHeaders, withHeaders } from "./cutJoists";
import { edgePieces, type Longest } from "./edges";
import { type FloorPlan, floorPlan } from "./floorPlan";
import { hangersOf, splicesOf } from "./hangers";
import { headerPieces } from "./headerPieces";
import { postPieces } from "./posts";
import { spotPieces } from "./spots";
import { cornersUV, levelStick } from "./stick";
import { type CloseJoist, layStrips, type Strip } from "./strips";

/** Joists as they are laid, with what carries and stiffens them. */
export type LaidJoists = {
  readonly plan: FloorPlan;
  readonly strips: readonly Strip[];
  readonly joists: readonly CutJoist[];
  readonly openings: readonly WithHeaders[];
  readonly close: readonly CloseJoist[];
  readonly pieces: readonly Piece[];
};

const joistPiece = ({ id, role, ...area }: CutJoist, { shape, joist }: FloorPlan): FramingPiece =>
  levelStick({ id, role, section: joist, corners: cornersUV(area), cutLengthNm: area.u1 - area.u0 }, shape);

/** Lays out joists over an outline; undefined while it does not close. */
export function layJoists(
  part: Joisted,
  choices: JoistChoices,
  context: PartContext,
  longest: Longest,
): LaidJoists | undefined {
  const plan = floorPlan(part, choices, context);
  if (!plan) return undefined;
  const { strips, close } = layStrips(plan);
  const openings = withHeaders(plan);
  const joists = cutJoists(plan, strips, openings);
  const pieces = [
    ...edgePieces(plan, longest),
    ...joists.map((each) => joistPiece(each, plan)),
    ...headerPieces(plan, openings),
    ...blockingOf(plan, joists),
    ...strapsOf(plan, joists),
    ...beamPieces(plan, longest),
    ...postPieces(plan),
    ...spotPieces(plan),
    ...hangersOf(plan, joists, openings),
    ...splicesOf(plan, joists),
  ];
  return { plan, strips, joists, openings, close, pieces };
}
