import {
  formatArea,
  formatLength,
  type MeasuringSystem,
  NM_PER_M,
  pitchWays,
  type ReportFigure,
} from "@wide-porch/core";

/** A figure of a report in the job's own units; as it stands there where it cannot be read. */
export function sayReportFigure(figure: ReportFigure, system: MeasuringSystem): string {
  if (!figure.ok) return figure.text;
  const { value } = figure;
  if (figure.measure === "area") return formatArea(value, system);
  if (figure.measure === "pitch") return pitchWays(value, system)[0] ?? "";
  return formatLength(Math.round(value * NM_PER_M), system);
}
