import { LONGEST_NOTES, type Part, type Photo } from "@wide-porch/core";
import { memo, useRef, useState } from "react";
import { Pressable, ScrollView, View } from "react-native";
import { Button } from "../components/Button";
import { CommitField } from "../components/CommitField";
import { Sheet } from "../components/Sheet";
import { Title, Warning } from "../components/Text";
import { Camera, Image as ImageIcon, Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { keepPicture } from "./keepPicture";
import { Picture } from "./Picture";
import { NoPicture } from "./picture";

const MOST_PHOTOS = 60;

type Props = { readonly part: Part };

/** What a person wrote and photographed at a part. */
export const NotesAndPhotos = memo(function NotesAndPhotos({ part }: Props) {
  const { changePart } = useJob("changePart");
  return (
    <View className="gap-3">
      <Title level={2}>Notes and photos</Title>
      <CommitField
        label="Notes"
        value={part.notes}
        multiline
        check={(text) => (text.length > LONGEST_NOTES ? `At most ${LONGEST_NOTES} letters.` : undefined)}
        onCommit={(notes) => changePart(part.id, (now) => ({ ...now, notes }))}
      />
      <PhotoStrip part={part} />
      <AddPhotos part={part} />
    </View>
  );
}, sameNotes);

/** Other figures of the part are nothing to it. */
function sameNotes(a: Props, b: Props): boolean {
  return a.part.id === b.part.id && a.part.notes === b.part.notes && a.part.photos === b.part.photos;
}

function PhotoStrip({ part }: Props) {
  const { changePart } = useJob("changePart");
  const [shown, setShown] = useState<Photo>();
  if (part.photos.length === 0) return null;
  const put = (change: (photos: readonly Photo[]) => Photo[]) =>
    changePart(part.id, (now) => ({ ...now, photos: change(now.photos) }));
  const takeOut = (photo: Photo) => {
    put((photos) => photos.filter((each) => each.id !== photo.id));
    setShown(undefined);
  };
  const caption = (photo: Photo, text: string) =>
    put((photos) => photos.map((each) => (each.id === photo.id ? { ...each, caption: text } : each)));
  const open = part.photos.find((each) => each.id === shown?.id);
  return (
    <>
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerClassName="gap-2">
        {part.photos.map((photo, index) => (
          <Pressable
            key={photo.id}
            role="button"
            aria-label={`Photo ${index + 1}${photo.caption ? `, ${photo.caption}` : ""}`}
            onPress={() => setShown(photo)}
            className="h-24 w-24 overflow-hidden rounded-md border border-rule bg-sheet"
          >
            <Picture photo={photo} className="h-full w-full" />
          </Pressable>
        ))}
      </ScrollView>
      <Sheet open={open !== undefined} onClose={() => setShown(undefined)} title="Photo">
        {open ? (
          <>
            <Picture photo={open} className="h-80 w-full" whole />
            <CommitField
              label="What it shows"
              value={open.caption}
              onCommit={(text) => caption(open, text.slice(0, 200))}
            />
            <Button label="Take this photo out" kind="quiet" icon={Trash2} onPress={() => takeOut(open)} />
          </>
        ) : null}
      </Sheet>
    </>
  );
}

/** By the camera or from a file; made small here, kept on the device, and sent when there is signal. */
function AddPhotos({ part }: Props) {
  const { changePart, jobId } = useJob("changePart", "jobId");
  const camera = useRef<HTMLInputElement>(null);
  const files = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string>();

  const add = async (chosen: readonly File[]) => {
    setRefusal(undefined);
    const kept: Photo[] = [];
    for (const file of chosen) {
      try {
        kept.push(await keepPicture(jobId, file));
      } catch (error) {
        const why = error instanceof NoPicture ? error.message : "This device has no room for another photo.";
        setRefusal(`${file.name}: ${why}`);
      }
    }
    if (kept.length === 0) return;
    changePart(part.id, (now) => {
      const photos = [...now.photos, ...kept];
      if (photos.length <= MOST_PHOTOS) return { ...now, photos };
      setRefusal(`A part has at most ${MOST_PHOTOS} photos.`);
      return now;
    });
  };
  const input = (ref: React.RefObject<HTMLInputElement | null>, name: string, capture: boolean) => (
    <input
      ref={ref}
      type="file"
      accept="image/*"
      multiple={!capture}
      {...(capture ? { capture: "environment" as const } : {})}
      aria-label={name}
      tabIndex={-1}
      style={{ display: "none" }}
      onChange={(event) => {
        void add([...(event.target.files ?? [])]);
        event.target.value = "";
      }}
    />
  );
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <Button label="Take a photo" kind="plain" icon={Camera} onPress={() => camera.current?.click()} />
        <Button label="From a file" kind="plain" icon={ImageIcon} onPress={() => files.current?.click()} />
      </View>
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      {input(camera, "Photo from the camera", true)}
      {input(files, "Photo files", false)}
    </View>
  );
}
