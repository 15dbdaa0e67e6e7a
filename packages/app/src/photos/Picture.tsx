import type { Photo } from "@wide-porch/core";
import { Image, View } from "react-native";
import { Faint } from "../components/Text";
import { useJob } from "../job/JobContext";
import { usePicture } from "./usePicture";

type Props = { readonly photo: Photo; readonly className: string; readonly whole?: boolean };

/** A photo of the job: cut to fill its place, or whole. */
export function Picture({ photo, className, whole = false }: Props) {
  const { jobId } = useJob("jobId");
  const { url, missing } = usePicture(jobId, photo.id);
  if (missing) {
    return (
      <View className={`items-center justify-center p-2 ${className}`}>
        <Faint>Not on this device, and no signal</Faint>
      </View>
    );
  }
  if (!url) return <View className={className} />;
  return (
    <Image
      source={{ uri: url }}
      role="img"
      aria-label={photo.caption || "Picture"}
      resizeMode={whole ? "contain" : "cover"}
      className={className}
    />
  );
}
