import { type CountLine, modelOf, type PartCount, roleOf } from "@wide-porch/core";
import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Body, Faint } from "../../components/Text";
import { Waiting } from "../../components/Waiting";
import { useJob } from "../../job/JobContext";
import { type Camera, ForTheQuote } from "./ForTheQuote";

/** three.js is large: it comes when somebody looks. */
const ModelCanvas = lazy(() => import("./ModelCanvas"));

type Props = {
  readonly counts: readonly PartCount[];
  readonly onOpen: (lineId: string) => void;
  readonly litLine: CountLine | undefined;
};

const ALL = "";

/** What is hidden at first: it lies over what one wants to see. */
const COVERS: readonly string[] = ["Sheathing", "Boards"];
const groupOf = (role: string): string => roleOf(role)?.group ?? "";

/** The framing as it stands: turned by dragging, cut by storey, with what is in the way hidden. */
export function ModelView({ counts, onOpen, litLine }: Props) {
  const { resolved, plan, context } = useJob("resolved", "plan", "context");
  const [storey, setStorey] = useState(ALL);
  const [hidden, setHidden] = useState(COVERS);
  const all = useMemo(() => modelOf(counts, resolved, plan, context), [counts, resolved, plan, context]);
  const storeys = [...new Set(all.map((solid) => solid.storey))];
  const solids = useMemo(() => {
    const away = new Set(hidden);
    return all.filter((solid) => !away.has(groupOf(solid.role)) && (storey === ALL || solid.storey === storey));
  }, [all, hidden, storey]);
  const lit = useMemo(() => new Set(litLine?.pieceIds.map((id) => `${litLine.partId}/${id}`) ?? []), [litLine]);
  // What is to be seen is not hidden. Told by name, so that a new count does not show again what was hidden since.
  const litGroups = useMemo(() => {
    const roles = all.filter((solid) => lit.has(solid.id)).map((solid) => solid.role);
    return [...new Set(roles.map(groupOf))].join("|");
  }, [all, lit]);
  useEffect(() => {
    const shown = litGroups.split("|");
    setHidden((now) => now.filter((label) => !shown.includes(label)));
  }, [litGroups]);
  const open = useCallback(
    (id: string) => {
      const [partId, ...rest] = id.split("/");
      const line = counts
        .find((count) => count.partId === partId)
        ?.lines.find((each) => each.pieceIds.includes(rest.join("/")));
      if (line) onOpen(line.id);
    },
    [counts, onOpen],
  );
  const groups = useMemo(() => [...new Set(all.map((solid) => groupOf(solid.role)))].toSorted(), [all]);
  const [camera, setCamera] = useState<Camera>();
  // A function given to a setter would be called: it is wrapped.
  const keepCamera = useCallback((take: Camera) => setCamera(() => take), []);
  if (all.length === 0) return <Body>Nothing is laid out yet. Measure a wall first.</Body>;
  return (
    <>
      <Suspense fallback={<Waiting what="the model" />}>
        <ModelCanvas solids={solids} lit={lit} onPiece={open} onCamera={keepCamera} />
      </Suspense>
      {litLine ? <Body role="status">{`Lit: ${litLine.description}, ${litLine.partName}`}</Body> : null}
      <ForTheQuote camera={camera} storey={storey} />
      <Faint>Drag to turn, two fingers or the wheel to come nearer. Press a piece for its count.</Faint>
      {storeys.length > 1 ? (
        <Choice
          label="Storey"
          value={storey}
          onChange={setStorey}
          options={[{ value: ALL, label: "All" }, ...storeys.map((each) => ({ value: each, label: each }))]}
        />
      ) : null}
      <View className="gap-1">
        <Faint>Hide</Faint>
        <View className="flex-row flex-wrap gap-2">
          {groups.map((label) => {
            const away = hidden.includes(label);
            return (
              <Button
                key={label}
                label={label}
                kind={away ? "main" : "plain"}
                name={`${away ? "Show" : "Hide"} ${label.toLowerCase()}`}
                onPress={() => setHidden(away ? hidden.filter((each) => each !== label) : [...hidden, label])}
              />
            );
          })}
        </View>
      </View>
    </>
  );
}
