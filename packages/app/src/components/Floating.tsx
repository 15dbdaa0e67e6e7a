import { type ReactNode, useLayoutEffect, useRef, useState } from "react";
import { createPortal } from "react-dom";
import { View } from "react-native";

/**
 * What lies over the bottom of the page wherever it is asked for: a scrolling list would carry it along. Within a sheet it
 * belongs to the sheet, which keeps the focus.
 */
export function Floating({ children }: { readonly children: ReactNode }) {
  const place = useRef<View>(null);
  const [host, setHost] = useState<Element>();
  useLayoutEffect(() => {
    const here = place.current as unknown as Element | null;
    setHost(here?.closest("[role=dialog]") ?? document.body);
  }, []);
  return (
    <>
      <View ref={place} className="absolute" />
      {host ? createPortal(children, host) : null}
    </>
  );
}
