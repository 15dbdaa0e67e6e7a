import { nanometres, positiveNm, type Value } from "../../../assemblies";
import { lappedCourses } from "../../../layouts";
import type { Nanometres } from "../../../units";
import type { Profile } from "../..";

/** Sheets as laid out on a wall. */
export type LaidSheets = {
  /** Whole sheets that the placed pieces are cut from. */
  readonly bought: number;
  /** Area of the placed pieces, square metres. */
  readonly coverM2: number;
  /** Fixings at most so far apart round each piece's edges, and along the studs inside it. */
  readonly fixings: (edgeNm: Nanometres, fieldNm: Nanometres) => number;
};

type StudWallFacts = {
  readonly sheets: (role: string) => LaidSheets | undefined;
  /** Face of the frame, square metres: what it takes off insulation. */
  readonly frameM2: number;
  readonly profile: Profile;
};

/** What the functions of `STUD_WALL_FUNCTIONS` come to on a wall. */
export const wallAnswers =
  ({ sheets, frameM2, profile }: StudWallFacts) =>
  (name: string, [first, second, third]: readonly Value[]): number | undefined => {
    switch (name) {
      case "sheets":
        return sheets(String(first))?.bought ?? 0;
      case "cover":
        return sheets(String(first))?.coverM2 ?? 0;
      case "sheetFixings": {
        const [edgeNm, fieldNm] = [positiveNm(second), positiveNm(third)];
        if (edgeNm === undefined || fieldNm === undefined) return Number.NaN;
        return sheets(String(first))?.fixings(edgeNm, fieldNm) ?? 0;
      }
      case "frameArea":
        return frameM2;
      case "lapped":
        return lappedCourses(profile, nanometres(first), nanometres(second)) ?? Number.NaN;
      default:
        return undefined;
    }
  };
