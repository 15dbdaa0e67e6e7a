import { useState } from "react";
import { Choice } from "../components/Choice";
import { Sheet } from "../components/Sheet";
import { TypedLine } from "../price/TypedLine";
import { AssemblyByHand } from "./AssemblyByHand";
import { CopySection } from "./CopySection";

const WAYS = [
  { value: "line", label: "A line" },
  { value: "assembly", label: "An assembly" },
  { value: "section", label: "A section of another job" },
] as const;
type Way = (typeof WAYS)[number]["value"];

/** What can be added to a worksheet by hand. */
export function AddTo({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const [way, setWay] = useState<Way>("line");
  return (
    <Sheet open={open} onClose={onClose} title="Type a line">
      <Choice label="Added by hand" options={WAYS} value={way} onChange={setWay} />
      {way === "line" ? <TypedLine /> : null}
      {way === "assembly" ? <AssemblyByHand onDone={onClose} /> : null}
      {way === "section" ? <CopySection onDone={onClose} /> : null}
    </Sheet>
  );
}
