import type { EdgeEnd, Roof } from "../kinds/roof";
import { newEdge, newRoof } from "../kinds/roof/starts";
import { measured } from "../parts/dimension";
import type { MeasuringSystem, Nanometres } from "../units";
import { contexts } from "./library";

export type TestEdge = {
  readonly lengthNm: Nanometres;
  readonly end: EdgeEnd;
  readonly turn?: number;
  readonly pitch?: number;
  readonly overhangNm?: Nanometres;
  readonly hipFromNm?: Nanometres;
};

type TestRoof = {
  readonly pitch: number;
  readonly overhangNm?: Nanometres;
  readonly rakeNm?: Nanometres;
  readonly choices?: Roof["choices"];
};

const LETTERS = "abcdefghijklmnopqrstuvwxyz";
export const said = (valueNm: Nanometres) => measured(valueNm, "");

/** A roof over an outline walked edge by edge; turns are to the left until one says otherwise. */
export function roofOf(system: MeasuringSystem, edges: readonly TestEdge[], roof: TestRoof): Roof {
  const { pitch, overhangNm = 0, rakeNm = 0, choices = {} } = roof;
  return {
    ...newRoof("roof", "Roof", contexts[system]),
    pitch: { value: pitch, typed: "", assumed: false },
    overhang: said(overhangNm),
    rakeOverhang: said(rakeNm),
    plate: said(0),
    choices,
    edges: edges.map((edge, index) => ({
      ...newEdge(
        `${LETTERS[index % 26]}${index < 26 ? "" : Math.floor(index / 26)}`,
        edge.end,
        edge.turn ?? 90,
        said(edge.lengthNm),
      ),
      ...(edge.pitch === undefined ? {} : { pitch: { value: edge.pitch, typed: "", assumed: false } }),
      ...(edge.overhangNm === undefined ? {} : { overhang: said(edge.overhangNm) }),
      ...(edge.hipFromNm === undefined ? {} : { hipFrom: said(edge.hipFromNm) }),
    })),
  };
}

/** The two lengths of a rectangle, and how its four edges end. */
export const rectangle = (longNm: Nanometres, shortNm: Nanometres, ends: readonly EdgeEnd[]): TestEdge[] =>
  ends.map((end, index) => ({ lengthNm: index % 2 === 0 ? longNm : shortNm, end }));
