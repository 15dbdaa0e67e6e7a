import { useEffect, useState } from "react";
import useSWR from "swr";
import { fetchBytes } from "../api/client";
import { deviceStore } from "../device/store";
import { photoKey } from "./photoKey";

/** A photo's picture: from the device, or fetched once and kept there. */
async function pictureOf(jobId: string, photoId: string): Promise<Blob> {
  const kept = await deviceStore.get(photoKey(photoId)).catch(() => undefined);
  if (kept instanceof Blob) return kept;
  const fetched = await fetchBytes(`/jobs/${jobId}/photos/${photoId}`);
  void deviceStore.set(photoKey(photoId), fetched).catch(() => undefined);
  return fetched;
}

/** An address the page can show a photo from; undefined until it is there. */
export function usePicture(jobId: string, photoId: string): { url: string | undefined; missing: boolean } {
  const picture = useSWR(["photo", photoId], () => pictureOf(jobId, photoId), {
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
