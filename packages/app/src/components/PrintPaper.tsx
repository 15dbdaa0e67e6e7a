import { type PropsWithChildren, useEffect, useState } from "react";
import { createPortal, flushSync } from "react-dom";
import { View } from "react-native";
import { Faint, Title } from "./Text";

type Props = PropsWithChildren<{ readonly title: string; readonly under: string }>;

/**
 * What goes on paper instead of the page: drawn when something prints, by the button or by the browser's own command, and
 * as long as it has to be. `global.css` shows nothing else then.
 */
export function PrintPaper({ title, under, children }: Props) {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    // The browser takes its picture as soon as this returns.
    const begin = () => flushSync(() => setPrinting(true));
    const end = () => setPrinting(false);
    // Some browsers tell of printing only by the page's turning into a printed one.
    const printed = window.matchMedia("print");
    const follow = () => (printed.matches ? begin() : end());
    window.addEventListener("beforeprint", begin);
    window.addEventListener("afterprint", end);
    printed.addEventListener("change", follow);
    return () => {
      window.removeEventListener("beforeprint", begin);
      window.removeEventListener("afterprint", end);
      printed.removeEventListener("change", follow);
    };
  }, []);
  if (!printing) return null;
  return createPortal(
    <div className="print-paper">
      <View className="gap-1">
        <Title level={1}>{title}</Title>
        <Faint>{under}</Faint>
      </View>
      <View className="gap-4 pt-4">{children}</View>
    </div>,
    document.body,
  );
}
