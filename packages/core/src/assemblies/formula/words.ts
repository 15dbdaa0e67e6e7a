import { NM_PER_FOOT, NM_PER_INCH, NM_PER_M } from "../../units";
import { AREA, COUNT, type FormulaType, HOURS, LENGTH, MASS, VOLUME } from "./types";

type Unit = { readonly value: number; readonly type: FormulaType; readonly label: string };

const FOOT_M = NM_PER_FOOT / NM_PER_M;
const INCH_M = NM_PER_INCH / NM_PER_M;
const INCH: Unit = { value: INCH_M, type: LENGTH, label: "inch" };
const FOOT: Unit = { value: FOOT_M, type: LENGTH, label: "foot" };

/** Units as formulas write them: `16 in`, `32 sqft`. The US gallon is 231 cubic inches (NIST Handbook 44, appendix C). */
export const UNITS: Readonly<Record<string, Unit>> = {
  in: INCH,
  inch: INCH,
  inches: INCH,
  ft: FOOT,
  feet: FOOT,
  mm: { value: 0.001, type: LENGTH, label: "millimetre" },
  cm: { value: 0.01, type: LENGTH, label: "centimetre" },
  m: { value: 1, type: LENGTH, label: "metre" },
  sqft: { value: FOOT_M ** 2, type: AREA, label: "square foot" },
  m2: { value: 1, type: AREA, label: "square metre" },
  cuft: { value: FOOT_M ** 3, type: VOLUME, label: "cubic foot" },
  m3: { value: 1, type: VOLUME, label: "cubic metre" },
  litre: { value: 0.001, type: VOLUME, label: "litre" },
  gallon: { value: 231 * INCH_M ** 3, type: VOLUME, label: "US gallon" },
  yd: { value: 3 * FOOT_M, type: LENGTH, label: "yard" },
  cuyd: { value: (3 * FOOT_M) ** 3, type: VOLUME, label: "cubic yard" },
  g: { value: 0.001, type: MASS, label: "gram" },
  tonne: { value: 1000, type: MASS, label: "tonne" },
  /** Of an angle, which is a number: sin(30 deg). */
  deg: { value: Math.PI / 180, type: COUNT, label: "degree" },
  kg: { value: 1, type: MASS, label: "kilogram" },
  lb: { value: 0.45359237, type: MASS, label: "pound" },
  hour: { value: 1, type: HOURS, label: "hour" },
  minute: { value: 1 / 60, type: HOURS, label: "minute" },
};

export const unitOf = (name: string): Unit | undefined => (Object.hasOwn(UNITS, name) ? UNITS[name] : undefined);
