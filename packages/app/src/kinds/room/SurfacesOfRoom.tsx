import {
  formatArea,
  isSurface,
  netAreaOfSurface,
  PART_KINDS,
  type Room,
  type Surface,
  surfacesOf,
} from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../../components/Button";
import { Body, Faint, Figure, Title } from "../../components/Text";
import { useJobLater } from "../../job/useJobLater";
import { newId } from "../../sync/newId";

/** The surfaces of a room: what is done to one of them and not to the others is counted on it by itself. */
export function SurfacesOfRoom({ room }: { readonly room: Room }) {
  const { plan, parts, context, saveParts, jobId } = useJobLater("plan", "parts", "context", "saveParts", "jobId");
  const router = useRouter();
  const [shown, setShown] = useState(false);
  const storey = plan.storeys.find((each) => each.rooms.some((placed) => placed.room.id === room.id));
  const surfaces = shown && storey ? surfacesOf(storey).filter((each) => each.roomId === room.id) : [];
  const kept = parts.filter(isSurface).filter((part) => part.roomId === room.id);
  const open = (surface: Surface) => {
    const known = kept.find((part) => part.surfaceId === surface.id);
    if (known) return router.push(`/jobs/${jobId}/measure/${known.id}` as Href);
    const id = newId();
    const start = PART_KINDS.surface.defaults(id, `${room.name}, ${surface.name}`.slice(0, 80), context);
    saveParts([{ ...start, storey: room.storey, location: room.name, roomId: room.id, surfaceId: surface.id }]);
    router.push(`/jobs/${jobId}/measure/${id}` as Href);
  };
  return (
    <View className="gap-2">
      <Title level={2}>Surfaces</Title>
      <Faint>What is done to one wall, ceiling or reveal and not to the rest is counted on it by itself.</Faint>
      {surfaces.map((surface) => (
        <Pressable
          key={surface.id}
          role="button"
          aria-label={`${surface.name}, ${formatArea(netAreaOfSurface(surface), context.system)}, behind it ${surface.behind}`}
          onPress={() => open(surface)}
          className="min-h-12 justify-center border-b border-rule py-1 active:bg-pine-wash"
        >
          <View className="flex-row items-center justify-between gap-3">
            <View className="min-w-0 flex-1">
              <Body>{surface.name}</Body>
              <Faint>{`Behind it: ${surface.behind}`}</Faint>
            </View>
            <Figure>{formatArea(netAreaOfSurface(surface), context.system)}</Figure>
          </View>
        </Pressable>
      ))}
      {shown && surfaces.length === 0 ? <Faint>None until the room closes.</Faint> : null}
      <Button
        label={shown ? "Hide the surfaces" : "Show the surfaces of this room"}
        kind="plain"
        onPress={() => setShown(!shown)}
      />
    </View>
  );
}
