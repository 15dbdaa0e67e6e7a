import { polygonArea } from "../geometry";
import type { JobPlan } from "./storeyPlan";

/** All floors of a job, inside measure, in square metres: rooms that close. */
export const floorAreaOf = ({ storeys }: Pick<JobPlan, "storeys">): number =>
  storeys.reduce(
    (sum, { rooms }) => sum + rooms.reduce((area, { polygon }) => area + (polygon ? polygonArea(polygon) : 0), 0),
    0,
  );
