import { type CountLine, modelOf, type PartCount, type PieceRole } from "@wide-porch/core";
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

const GROUPS: readonly { readonly label: string; readonly roles: readonly PieceRole[] }[] = [
  { label: "Plates", roles: ["bottom-plate", "treated-plate", "top-plate", "cap-plate"] },
  { label: "Studs", roles: ["stud", "corner-stud", "meeting-stud", "king", "jack"] },
  { label: "Headers", roles: ["header", "header-packing", "flat-plate"] },
  { label: "Small framing", roles: ["sill", "cripple-above", "cripple-below", "blocking", "ladder-block"] },
  { label: "Sheathing", roles: ["sheathing"] },
  { label: "Boards", roles: ["board-near", "board-far"] },
  { label: "Hardware", roles: ["anchor-bolt", "hold-down", "board-clip"] },
];

/** The framing as it stands: turned by dragging, cut by storey, with what is in the way hidden. */
export function ModelView({ counts, onOpen, litLine }: Props) {
  const { resolved, plan, context } = useJob();
  const [storey, setStorey] = useState(ALL);
  const [hidden, setHidden] = useState<readonly string[]>(["Sheathing", "Boards"]);
  const all = useMemo(
    () => modelOf(counts, resolved, plan, context.sections),
    [counts, resolved, plan, context.sections],
  );
  const storeys = [...new Set(all.map((solid) => solid.storey))];
  const solids = useMemo(() => {
    const away = new Set(GROUPS.filter((group) => hidden.includes(group.label)).flatMap((group) => group.roles));
    return all.filter((solid) => !away.has(solid.role) && (storey === ALL || solid.storey === storey));
  }, [all, hidden, storey]);
  const lit = useMemo(() => new Set(litLine?.pieceIds.map((id) => `${litLine.partId}/${id}`) ?? []), [litLine]);
  // What is to be seen is not hidden. Told by name, so that a new count does not show again what was hidden since.
  const litGroups = useMemo(() => {
    const roles = new Set(all.filter((solid) => lit.has(solid.id)).map((solid) => solid.role));
    const groups = GROUPS.filter((group) => group.roles.some((role) => roles.has(role)));
    return groups.map((group) => group.label).join("|");
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
          {GROUPS.filter((group) => all.some((solid) => group.roles.includes(solid.role))).map(({ label }) => {
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
