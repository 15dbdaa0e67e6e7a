import { groupLedger, type LedgerLine, type WorksheetLayout } from "@wide-porch/core";
import { useCallback, useMemo, useState } from "react";
import { type Items, matching, plainRows, type SheetRow, sheetRows } from "./rowsOf";

/** Rows of a worksheet, and which groups are unfolded. The outermost are, until somebody folds them. */
export function useSheet(ledger: readonly LedgerLine[], layout: WorksheetLayout, items: Items, search: string) {
  const { keys, sort } = layout;
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const [all, setAll] = useState<boolean>();
  const lines = useMemo(() => matching(ledger, search, items), [ledger, search, items]);
  const groups = useMemo(() => groupLedger(lines, keys), [lines, keys]);
  const searching = search.trim() !== "";
  // What is looked for is seen: groups that hold it are open. What is folded meanwhile is so while it is looked for.
  const turnOf = useCallback((id: string) => (searching ? `?${id}` : id), [searching]);
  const isOpen = useCallback(
    (id: string, depth: number) => (searching || (all ?? (depth === 0 && keys.length > 1))) !== turned.has(turnOf(id)),
    [searching, all, turned, keys, turnOf],
  );
  const rows = useMemo<SheetRow[]>(
    () => (keys.length === 0 ? plainRows(lines, sort, items) : sheetRows(groups, { sort, isOpen, items })),
    [keys, lines, sort, items, groups, isOpen],
  );
  const turn = useCallback(
    (id: string) => {
      setTurned((before) => {
        const next = new Set(before);
        if (!next.delete(turnOf(id))) next.add(turnOf(id));
        return next;
      });
    },
    [turnOf],
  );
  const turnAll = useCallback((open: boolean) => {
    setAll(open);
    setTurned(new Set());
  }, []);
  return { rows, lines, turn, turnAll };
}
