import {
  assumedDimension,
  formatLength,
  isFaceOf,
  isRoom,
  outlineOf,
  type WallEnd,
  type WallOnPlan,
  type WallPart,
} from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { View } from "react-native";
import { Choice } from "../components/Choice";
import { Body, Faint, Strong, Title } from "../components/Text";
import { useJob } from "../job/JobContext";

const ENDS: Record<WallEnd, string> = {
  free: "stands free",
  "corner-through": "runs through the corner",
  "corner-butts": "butts at the corner",
  meets: "meets another wall",
};

type How = WallOnPlan["stretch"]["how"];

const STRETCHES: readonly { readonly value: How; readonly label: string }[] = [
  { value: "whole", label: "The whole wall" },
  { value: "room", label: "This room's side" },
  { value: "part", label: "A stretch" },
];

/** Where a wall stands on the plan, what it meets there, and how much of it is built. */
export function WallOnPlanNotes({ part, wall }: { readonly part: WallPart; readonly wall: WallPart }) {
  const { parts, savePart, context, jobId } = useJob("parts", "savePart", "context", "jobId");
  const { plan } = part;
  if (!plan) return null;
  const room = parts.find((each) => each.id === plan.roomId);
  const stretchOf = (how: How): WallOnPlan["stretch"] => {
    if (how !== "part") return { how };
    const faces = room && isRoom(room) ? outlineOf(room).faces.filter((face) => isFaceOf(face, plan.hostId)) : [];
    const [from, to] = [faces[0]?.startNm ?? 0, faces[faces.length - 1]?.endNm ?? 0];
    return { how, from: assumedDimension(Math.round(from)), to: assumedDimension(Math.round(to)) };
  };
  return (
    <View className="gap-3">
      <Title level={2}>On the plan</Title>
      {room ? (
        <Body>
          {"Its length, height and openings come from "}
          <Link href={`/jobs/${jobId}/measure/${room.id}` as Href}>
            <Strong className="text-pine underline">{room.name}</Strong>
          </Link>
          {" and its neighbours."}
        </Body>
      ) : (
        <Body>Its room is in the bin. Undo takes it out again.</Body>
      )}
      <Choice
        label="How much of it is built"
        options={STRETCHES}
        value={plan.stretch.how}
        onChange={(how) => savePart({ ...part, plan: { ...plan, stretch: stretchOf(how) } })}
      />
      {wall.length.valueNm === null ? null : (
        <View role="list" aria-label="Corners and meeting walls">
          <Faint role="listitem">{`Left end: ${ENDS[wall.ends.left]}`}</Faint>
          <Faint role="listitem">{`Right end: ${ENDS[wall.ends.right]}`}</Faint>
          {wall.meetings.map((meeting) => (
            <Faint key={meeting.positionNm} role="listitem">
              {`At ${formatLength(meeting.positionNm, context.system)} a wall of ${meeting.withName} meets it`}
            </Faint>
          ))}
        </View>
      )}
    </View>
  );
}
