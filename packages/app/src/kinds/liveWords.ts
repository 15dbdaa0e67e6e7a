import { type CountLine, type PartCount, plural, RAFTER_ROLES } from "@wide-porch/core";

const RAFTERS: ReadonlySet<string> = new Set(RAFTER_ROLES);

export const quantityOf = (lines: readonly CountLine[]): number =>
  lines.reduce((total, line) => total + line.quantity, 0);

/** `11 studs, 24 pieces in all, 6 sheets`: of what is framed. */
export function framedWords({ lines }: PartCount): string {
  const studs = quantityOf(lines.filter((line) => line.rule === "studs"));
  const sticks = quantityOf(lines.filter((line) => line.trade === "Framing" && line.buying === "cut"));
  const sheets = quantityOf(lines.filter((line) => line.trade === "Sheathing" && line.unit === "sheet"));
  return `${studs} studs, ${sticks} pieces in all${sheets === 0 ? "" : `, ${sheets} sheets`}`;
}

const whole = (count: number): string => Math.ceil(count - 1e-9).toLocaleString("en");

/** `745 units, 2 lintels`: of masonry. */
export function masonryLive({ lines }: PartCount): string {
  const units = lines.filter((line) => line.unit === "unit" && !line.rule.endsWith("Spare"));
  const stones = lines.filter((line) => line.unit === "stone");
  const lintels = quantityOf(lines.filter((line) => line.rule === "lintelPieces"));
  const said = [
    ...units.map((line) => `${whole(line.quantity)} ${line.description.toLowerCase()}`),
    ...stones.map((line) => `${whole(line.quantity)} stones`),
    ...(lintels > 0 ? [plural(lintels, "1 lintel", `${lintels} lintels`)] : []),
  ];
  return said.join(", ");
}

/** `62 rafters and jacks, 75 pieces in all, 48 panels`: of a roof. */
export function roofLive({ lines, pieces }: PartCount): string {
  const rafters = pieces.filter(({ role }) => RAFTERS.has(role)).length;
  const sheets = quantityOf(lines.filter((line) => line.trade === "Sheathing" && line.unit === "sheet"));
  const timber = lines.filter((line) => line.trade === "Framing" && line.buying === "cut");
  return [
    `${rafters} rafters and jacks`,
    `${quantityOf(timber)} pieces in all`,
    ...(sheets > 0 ? [`${sheets} panels`] : []),
  ].join(", ");
}

/** `58 rafters, 41 panels`: of a roof by totals. */
export function roofTotalsLive({ lines }: PartCount): string {
  const rafters = quantityOf(lines.filter((line) => line.rule === "commonRafters"));
  const sheets = quantityOf(lines.filter((line) => line.trade === "Sheathing" && line.unit === "sheet"));
  return [`${rafters} rafters`, ...(sheets > 0 ? [`${sheets} panels`] : [])].join(", ");
}
