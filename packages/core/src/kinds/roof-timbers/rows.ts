import { unmeasured } from "../../parts/dimension";
import { noFigure } from "../../parts/figure";
import { changeById } from "../../parts/figures";
import { type ListedTimber, MOST_TIMBER_ROWS, type RoofTimbers, type TimberEntry } from "./schema";

/** One more row; the same list when it has as many as there can be. */
export function withTimber(list: RoofTimbers, id: string, role: ListedTimber): RoofTimbers {
  if (list.rows.length >= MOST_TIMBER_ROWS) return list;
  const row: TimberEntry = { id, role, plan: unmeasured, pitch: noFigure, count: 1 };
  return { ...list, rows: [...list.rows, row] };
}

export const withoutTimber = (list: RoofTimbers, id: string): RoofTimbers => ({
  ...list,
  rows: list.rows.filter((row) => row.id !== id),
});

/** A row with a pitch of its own, as the list's until it is changed; or with the list's again. */
export const withOwnPitch = (list: RoofTimbers, id: string, own: boolean): RoofTimbers => ({
  ...list,
  rows: changeById(list.rows, id, (row) => ({ ...row, pitch: own ? { ...list.pitch, assumed: true } : noFigure })),
});
