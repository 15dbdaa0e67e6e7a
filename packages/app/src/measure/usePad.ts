import { useLocalSearchParams, useRouter } from "expo-router";
import { useEffect, useState } from "react";

/** Which figure the tape pad is at. The address may open one, once; a reload then shows the part. */
export function usePad(): [figure: string | undefined, show: (path: string | undefined) => void] {
  const router = useRouter();
  const { figure: asked } = useLocalSearchParams<{ figure?: string }>();
  const [figure, show] = useState<string | undefined>(asked || undefined);
  useEffect(() => {
    if (!asked) return;
    show(asked);
    router.setParams({ figure: "" });
  }, [asked, router]);
  return [figure, show];
}
