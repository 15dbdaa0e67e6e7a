import { inches } from "../../units";

/** A record of an earlier version. */
export type Earlier = Record<string, unknown>;

const assumed = (value: number | string | boolean) => ({ value, assumed: true });

/** The choices that walls of version 2 did not have yet, as version 3 kept them: none of them adds a piece. */
export const FIRST_UNASKED = {
  layoutFrom: assumed("left"),
  treatedPlate: assumed(false),
  cornerStyle: assumed("three-stud"),
  meetingStyle: assumed("extra-studs"),
  kingsPerSide: assumed(1),
  twoJacksFromNm: assumed(inches(72)),
  sillPlies: assumed(1),
  headerPacking: assumed(false),
  blockingEveryNm: assumed(0),
  studsFrom: assumed("timber"),
  boardsNear: assumed(0),
  boardsFar: assumed(0),
  insulated: assumed(false),
  membrane: assumed(false),
  anchorBolts: assumed(false),
  holdDowns: assumed(false),
};

/** What a rough opening was taken to be larger than its unit when version 4 began to ask. */
export const FIRST_ALLOWANCES = {
  doorAllowanceWidthNm: assumed(inches(2)),
  doorAllowanceHeightNm: assumed(inches(2.5)),
  windowAllowanceNm: assumed(inches(0.5)),
};
