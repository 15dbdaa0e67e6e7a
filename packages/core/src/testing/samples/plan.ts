import { roomKind } from "../../kinds/room";
import { storeyKind } from "../../kinds/storey";
import { surfaceKind } from "../../kinds/surface";
import { planJob, resolveStorey, resolveSurface } from "../../plan";
import { feet } from "../../units";
import { contexts } from "../library";
import { walkedRoom } from "../rooms";
import { measured } from "./said";
import { sampled } from "./sampled";

const hall = walkedRoom([["16'"], ["12'"], ["16'"], ["12'"]]);
const around = planJob([hall]);

/** What stands on a plan: rooms, storeys, surfaces. */
export const plan = [
  sampled(storeyKind, [
    {
      system: "imperial",
      part: { ...storeyKind.defaults("g", hall.storey, contexts.imperial), outsideAcross: measured(feet(17)) },
      onPlan: (storey) => resolveStorey(storey, around),
    },
  ]),
  sampled(surfaceKind, [
    {
      system: "imperial",
      part: { ...surfaceKind.defaults("f", "Wall", contexts.imperial), roomId: hall.id, surfaceId: "wall/a" },
      onPlan: (surface) => resolveSurface(surface, around),
    },
  ]),
  sampled(roomKind, [{ system: "imperial", part: walkedRoom([["12'"], ["10'"], ["12'"], ["10'"]]) }]),
];
