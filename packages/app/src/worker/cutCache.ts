import { type CutList, type Cutter, cutQuickly } from "@wide-porch/core/reckoning";

/** Cut lists by what they were asked for: most entries leave most items' pieces as they were. */
export class CutCache {
  private lists = new Map<string, CutList>();
  private next = new Map<string, CutList>();

  readonly cut: Cutter = (pieces, stock, settings) => {
    const { kerfNm, endTrimNm } = settings;
    const key = JSON.stringify([pieces.map((piece) => [piece.id, piece.lengthNm]), stock, kerfNm, endTrimNm]);
    const list = this.lists.get(key) ?? cutQuickly(pieces, stock, settings);
    this.next.set(key, list);
    return list;
  };

  /** Ends a round: what was not asked for is forgotten. */
  settle(): void {
    this.lists = this.next;
    this.next = new Map();
  }
}
