import { type CountLine, modelOf, type PartCount, SURFACES_GROUP } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Body, Faint } from "../../components/Text";
import { Waiting } from "../../components/Waiting";
import { useJob } from "../../job/JobContext";
import { type Camera, ForTheQuote } from "./ForTheQuote";
import { SectionView } from "./SectionView";
import { SideView } from "./SideView";

/** three.js is large: it comes when somebody looks. */
const ModelCanvas = lazy(() => import("./ModelCanvas"));

type Props = {
  readonly counts: readonly PartCount[];
  readonly onOpen: (lineId: string) => void;
  readonly litLine: CountLine | undefined;
};

const ALL = "";

type Look = "space" | "section" | "side";
const LOOKS: readonly { readonly value: Look; readonly label: string }[] = [
  { value: "space", label: "In space" },
  { value: "section", label: "Cut through" },
  { value: "side", label: "From a side" },
];

/** What is hidden at first: it lies over what one wants to see. */
const COVERS: readonly string[] = ["Sheathing", "Boards", "Digging", SURFACES_GROUP];

/** The job as it stands, rooms and what is built of them: turned by dragging, cut by storey, with what is in the way hidden. */
export function ModelView({ counts, onOpen, litLine }: Props) {
  const { resolved, plan, context, jobId } = useJob("resolved", "plan", "context", "jobId");
  const router = useRouter();
  const [storey, setStorey] = useState(ALL);
  const [hidden, setHidden] = useState(COVERS);
  const [look, setLook] = useState<Look>("space");
  const all = useMemo(() => modelOf(counts, resolved, plan, context), [counts, resolved, plan, context]);
  const storeys = [...new Set(all.map((solid) => solid.storey))];
  const solids = useMemo(() => {
    const away = new Set(hidden);
    return all.filter((solid) => !away.has(solid.group) && (storey === ALL || solid.storey === storey));
  }, [all, hidden, storey]);
  const lit = useMemo(() => new Set(litLine?.pieceIds.map((id) => `${litLine.partId}/${id}`) ?? []), [litLine]);
  // What is to be seen is not hidden. Told by name, so that a new count does not show again what was hidden since.
  const litGroups = useMemo(() => {
    const shown = all.filter((solid) => lit.has(solid.id)).map((solid) => solid.group);
    return [...new Set(shown)].join("|");
  }, [all, lit]);
  useEffect(() => {
    const shown = litGroups.split("|");
    setHidden((now) => now.filter((label) => !shown.includes(label)));
  }, [litGroups]);
  const open = useCallback(
    (id: string) => {
      const [partId, ...rest] = id.split("/");
      const count = counts.find((each) => each.partId === partId && each.pieces.length > 0);
      const line = count?.lines.find((each) => each.pieceIds.includes(rest.join("/")));
      if (line) onOpen(line.id);
      // A room is counted in no line of its own: it opens where it is measured.
      else if (partId !== undefined && !count) router.push(`/jobs/${jobId}/measure/${partId}` as Href);
    },
    [counts, onOpen, router, jobId],
  );
  const groups = useMemo(() => [...new Set(all.map((solid) => solid.group))].toSorted(), [all]);
  const [camera, setCamera] = useState<Camera>();
  // A function given to a setter would be called: it is wrapped.
  const keepCamera = useCallback((take: Camera) => setCamera(() => take), []);
  if (all.length === 0) return <Body>Nothing stands yet. Measure a room or a wall first.</Body>;
  return (
    <>
      <Choice label="Seen" options={LOOKS} value={look} onChange={setLook} />
      {look === "section" ? <SectionView solids={solids} onOpen={open} /> : null}
      {look === "side" ? <SideView solids={all} storey={storey === ALL ? undefined : storey} onOpen={open} /> : null}
      {look === "space" ? (
        <Suspense fallback={<Waiting what="the model" />}>
          <ModelCanvas solids={solids} lit={lit} onPiece={open} onCamera={keepCamera} />
        </Suspense>
      ) : null}
      {litLine ? <Body role="status">{`Lit: ${litLine.description}, ${litLine.partName}`}</Body> : null}
      {look === "space" ? (
        <>
          <ForTheQuote camera={camera} storey={storey} />
          <Faint>
            Drag to turn, two fingers or the wheel to come nearer. Press a piece for its count, a room to measure it.
          </Faint>
        </>
      ) : null}
      {storeys.length > 1 ? (
        <Choice
          label="Storey"
          value={storey}
          onChange={setStorey}
          options={[{ value: ALL, label: "All" }, ...storeys.map((each) => ({ value: each, label: each }))]}
        />
      ) : null}
      {look === "side" ? null : (
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
      )}
    </>
  );
}
