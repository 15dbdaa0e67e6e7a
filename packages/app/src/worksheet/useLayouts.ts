import { usualLayout, type WorksheetLayout, wholeColumns, worksheetLayoutSchema } from "@wide-porch/core";
import { useCallback, useEffect, useState } from "react";
import useSWR from "swr";
import { z } from "zod";
import { ask } from "../api/client";
import { deviceStore } from "../device/store";

const KEPT = "worksheet/layouts";
const keptSchema = z.object({ now: worksheetLayoutSchema, own: z.array(worksheetLayoutSchema) });
type Kept = z.infer<typeof keptSchema>;
const START: Kept = { now: usualLayout, own: [] };

const PATH = "/worksheet-layouts";
const answerSchema = z.object({ layouts: z.array(worksheetLayoutSchema) });

const whole = (layout: WorksheetLayout): WorksheetLayout => ({ ...layout, columns: wholeColumns(layout.columns) });
const inPlace = (layouts: readonly WorksheetLayout[], layout: WorksheetLayout): WorksheetLayout[] => [
  ...layouts.filter(({ name }) => name !== layout.name),
  layout,
];

/** The layout in force, those kept on this device, and the company's. What is changed is there again at the next look. */
export function useLayouts() {
  const [kept, setKept] = useState<Kept>(START);
  const [failure, setFailure] = useState<string>();
  const company = useSWR(PATH, (path: string) => ask(answerSchema, "GET", path));
  useEffect(() => {
    let gone = false;
    const read = async () => {
      const found = keptSchema.safeParse(await deviceStore.get(KEPT));
      if (!gone && found.success) setKept(found.data);
    };
    void read().catch(() => undefined);
    return () => {
      gone = true;
    };
  }, []);
  const keep = useCallback((change: (before: Kept) => Kept) => {
    setKept((before) => {
      const next = change(before);
      void deviceStore
        .set(KEPT, next)
        .catch(() => setFailure("This device keeps no layouts: what is changed lasts until the page is closed."));
      return next;
    });
  }, []);
  const { mutate } = company;
  const tell = useCallback(
    async (method: "PUT" | "DELETE", name: string, layout?: WorksheetLayout) => {
      setFailure(undefined);
      try {
        const answer = await ask(answerSchema, method, `${PATH}/${encodeURIComponent(name)}`, layout);
        await mutate(answer, { revalidate: false });
      } catch (error) {
        setFailure(
          `The company's layouts stay as they were: ${error instanceof Error ? error.message : String(error)}`,
        );
      }
    },
    [mutate],
  );
  return {
    layout: whole(kept.now),
    own: kept.own,
    company: company.data?.layouts ?? [],
    failure,
    change: useCallback(
      (change: (before: WorksheetLayout) => WorksheetLayout) =>
        keep((before) => ({ ...before, now: change(whole(before.now)) })),
      [keep],
    ),
    keepOwn: useCallback(
      (layout: WorksheetLayout) => keep(({ own }) => ({ now: layout, own: inPlace(own, layout) })),
      [keep],
    ),
    dropOwn: useCallback(
      (name: string) => keep((before) => ({ ...before, own: before.own.filter((each) => each.name !== name) })),
      [keep],
    ),
    keepForAll: useCallback((layout: WorksheetLayout) => tell("PUT", layout.name, layout), [tell]),
    dropForAll: useCallback((name: string) => tell("DELETE", name), [tell]),
  };
}

export type Layouts = ReturnType<typeof useLayouts>;
