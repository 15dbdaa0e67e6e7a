import * as Dialog from "@rn-primitives/dialog";
import type { PropsWithChildren } from "react";
import { ScrollView, View } from "react-native";
import { X } from "../icons";
import { useTokens } from "../theme/useTokens";
import { useWide } from "../theme/useWide";

type Props = PropsWithChildren<{ readonly open: boolean; readonly onClose: () => void; readonly title: string }>;

/** A sheet that rises over the page on the phone, and beside it where there is room. Focus stays in it; Escape closes it. */
export function Sheet({ open, onClose, title, children }: Props) {
  const { colour } = useTokens();
  const wide = useWide();
  if (!open) return null;
  return (
    <Dialog.Root open onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/40" style={{ zIndex: 40 }} />
        <Dialog.Content
          aria-describedby={undefined}
          className={`rise fixed max-h-[88vh] border-rule bg-paper shadow-lg ${wide ? "bottom-6 right-6 w-[460px] rounded-xl border" : "inset-x-0 bottom-0 rounded-t-xl border-t"}`}
          style={{ zIndex: 50 }}
        >
          <View className="flex-row items-center justify-between border-b border-rule py-1 pl-4 pr-1">
            <Dialog.Title role="heading" aria-level={2} className="flex-1 font-display text-lg text-ink">
              {title}
            </Dialog.Title>
            <Dialog.Close aria-label="Close" className="h-12 w-12 items-center justify-center">
              <X size={22} color={colour("ink")} aria-hidden />
            </Dialog.Close>
          </View>
          {/* Reached by keyboard, for what is too long to see at once and has nothing to press in it. */}
          <ScrollView tabIndex={0} contentContainerClassName="gap-4 p-4 pb-8">
            {children}
          </ScrollView>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
