import { type Room, type StudWall, standingWall, stretchesOf, studWallKind } from "@wide-porch/core";
import { type Href, Link, useRouter } from "expo-router";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Faint, Strong } from "../components/Text";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";

type Props = { readonly room: Room; readonly hostId: string; readonly hostName: string };

/** Makes a wall of the room a new stud wall, or shows the one that is built there. The rest of the walls are existing. */
export function NewWallFromRoom({ room, hostId, hostName }: Props) {
  const { parts, plan, context, savePart, jobId } = useJob();
  const router = useRouter();
  const walls = parts.filter((part): part is StudWall => part.kind === "stud-wall" && part.plan !== null);
  const here = walls.filter((wall) => {
    const standing = standingWall(wall, plan);
    return standing && stretchesOf(standing, room.id, hostId).length > 0;
  });
  const make = () => {
    const start = studWallKind.defaults(newId(), `${room.name}, ${hostName}`.slice(0, 120), context);
    const wall: StudWall = {
      ...start,
      storey: room.storey,
      location: room.name,
      plan: { roomId: room.id, hostId, stretch: { how: "whole" } },
    };
    savePart(wall);
    router.push(`/jobs/${jobId}/measure/${wall.id}` as Href);
  };
  return (
    <View className="gap-1">
      {here.map((wall) => (
        <Faint key={wall.id}>
          {"New here: "}
          <Link href={`/jobs/${jobId}/measure/${wall.id}` as Href}>
            <Strong className="text-sm text-pine underline">{wall.name}</Strong>
          </Link>
        </Faint>
      ))}
      {here.length === 0 ? <Faint>{`${hostName} is an existing wall.`}</Faint> : null}
      <Button label={`Build ${hostName} new, in studs`} kind="plain" onPress={make} />
    </View>
  );
}
