import { useEffect, useState } from "react";
import useSWR from "swr";
import { fetchBytes } from "../api/client";
import { deviceStore } from "../device/store";
import { photoKey, unsentPhotoKey } from "./photoKey";

/** A picture that never changes under its id: from the device, or fetched once and kept there. */
async function pictureAt(path: string, id: string): Promise<Blob> {
  for (const key of [unsentPhotoKey(id), photoKey(id)]) {
    const kept = await deviceStore.get(key).catch(() => undefined);
    if (kept instanceof Blob) return kept;
  }
  const fetched = await fetchBytes(path);
  void deviceStore.set(photoKey(id), fetched).catch(() => undefined);
  return fetched;
}

type Shown = { readonly url: string | undefined; readonly missing: boolean };

export const usePicture = (jobId: string, photoId: string): Shown =>
  usePictureAt(`/jobs/${jobId}/photos/${photoId}`, photoId);

/** An address the page can show a picture from; undefined until it is there. */
export function usePictureAt(path: string, id: string): Shown {
  const picture = useSWR(["photo", id], () => pictureAt(path, id), {
    revalidateIfStale: false,
    revalidateOnFocus: false,
  });
  const [url, setUrl] = useState<string>();
  useEffect(() => {
    if (!picture.data) return undefined;
    const made = URL.createObjectURL(picture.data);
    setUrl(made);
    return () => URL.revokeObjectURL(made);
  }, [picture.data]);
  return { url, missing: picture.error !== undefined && !picture.data };
}
