import {
  buildableWalls,
  isWallPart,
  newestAssemblies,
  newWallOnPlan,
  type PartKind,
  type Room,
  standingWall,
  stretchesOf,
  type WallPart,
  wallKinds,
} from "@wide-porch/core";
import { type Href, Link, useRouter } from "expo-router";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Faint, Strong } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { useJobLater } from "../../job/useJobLater";
import { newId } from "../../sync/newId";

type Piece = { readonly id: string; readonly name: string };
type WallKind = PartKind<WallPart>;

type Props = { readonly room: Room; readonly hostId: string; readonly hostName: string };

/**
 * Makes a wall of the room a new wall, in studs or in masonry, or shows the one that is built there. A wall with a recess or bump in it is
 * several: each is built by itself, or all of them at once. The rest of the walls are existing.
 */
export function NewWallFromRoom({ room, hostId, hostName }: Props) {
  const { parts, plan, context, rules, saveParts, jobId } = useJobLater(
    "parts",
    "plan",
    "context",
    "rules",
    "saveParts",
    "jobId",
  );
  const router = useRouter();
  const pieces = buildableWalls(room).filter((each) => each.hostId === hostId);
  const walls = parts.filter(isWallPart).filter((part) => part.plan !== null);
  const builtAs = (pieceId: string) =>
    walls.filter((wall) => {
      const standing = standingWall(wall, plan);
      return standing && stretchesOf(standing, room.id, pieceId).length > 0;
    });
  const newest = newestAssemblies(context.system, rules.assemblies);
  const refOf = (id: string) => {
    const found = newest.find((each) => each.id === id);
    return found && { id, version: found.version };
  };
  const make = (made: readonly Piece[], kind: WallKind) => {
    const fresh = made.map(
      (piece): WallPart =>
        newWallOnPlan(
          kind,
          { id: newId(), name: `${room.name}, ${piece.name}`, room, hostId: piece.id },
          plan,
          context,
          refOf,
        ),
    );
    saveParts(fresh);
    const [first] = fresh;
    if (first && fresh.length === 1) router.push(`/jobs/${jobId}/measure/${first.id}` as Href);
  };
  const lacking = pieces.filter((piece) => builtAs(piece.id).length === 0);
  const existing = lacking.length === pieces.length;
  return (
    <View className="gap-1">
      {pieces.flatMap((piece) =>
        builtAs(piece.id).map((wall) => <NewHere key={`${piece.id} ${wall.id}`} wall={wall} />),
      )}
      {existing ? <Faint>{`${hostName} is an existing wall.`}</Faint> : null}
      {wallKinds().map(({ words, kind }) => (
        <View key={words} className="gap-1">
          {lacking.length > 1 ? (
            <Button
              label={`Build all ${lacking.length} stretches of ${hostName} new, ${words}`}
              kind="plain"
              onPress={() => make(lacking, kind)}
            />
          ) : null}
          {lacking.map((piece) => (
            <Button
              key={piece.id}
              label={`Build ${piece.name} new, ${words}`}
              kind="plain"
              onPress={() => make([piece], kind)}
            />
          ))}
          {lacking.length === 0 ? (
            <Button
              label={`Build another stretch of ${hostName}, ${words}`}
              kind="quiet"
              onPress={() => make(pieces.slice(0, 1), kind)}
            />
          ) : null}
        </View>
      ))}
    </View>
  );
}

function NewHere({ wall }: { readonly wall: WallPart }) {
  const { jobId } = useJob("jobId");
  return (
    <Faint>
      {"New here: "}
      <Link href={`/jobs/${jobId}/measure/${wall.id}` as Href}>
        <Strong className="text-sm text-pine underline">{wall.name}</Strong>
      </Link>
    </Faint>
  );
}
