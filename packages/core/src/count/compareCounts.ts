import type { CountLine } from "./countLine";

/** One quantity that differs between two counts of a job; zero where a line is in one of them alone. */
export type CountChange = {
  readonly lineId: string;
  readonly partName: string;
  readonly description: string;
  readonly unit: string;
  readonly before: number;
  readonly after: number;
};

const byId = (lines: readonly CountLine[]): Map<string, CountLine> => new Map(lines.map((line) => [line.id, line]));

const sameSupply = ({ supply: a }: CountLine, { supply: b }: CountLine): boolean =>
  a?.by === b?.by && (a?.by !== "allowance" || b?.by !== "allowance" || a.rate === b.rate);

/** What another version of an assembly, or another house standard, would change: every quantity that differs. */
export function compareCounts(before: readonly CountLine[], after: readonly CountLine[]): CountChange[] {
  const [old, fresh] = [byId(before), byId(after)];
  const ids = new Set([...old.keys(), ...fresh.keys()]);
  return [...ids].flatMap((lineId): CountChange[] => {
    const [was, now] = [old.get(lineId), fresh.get(lineId)];
    const either = now ?? was;
    const [from, to] = [was?.quantity ?? 0, now?.quantity ?? 0];
    const same = !was || !now || (was.itemCode === now.itemCode && sameSupply(was, now));
    if (!either || (Math.abs(from - to) < 1e-9 && same)) return [];
    const { partName, description, unit } = either;
    return [{ lineId, partName, description, unit, before: from, after: to }];
  });
}
