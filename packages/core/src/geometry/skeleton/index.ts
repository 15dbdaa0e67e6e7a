export type { FaceSide, FormFace } from "./faces";
export { ringArea } from "./faces";
export type { MovingLine, RisingEdge, SlopeStep, XY, XYZ } from "./plane";
export { areaOfRing } from "./plane";
export { type Skeleton, type SkeletonFailure, straightSkeleton } from "./skeleton";
