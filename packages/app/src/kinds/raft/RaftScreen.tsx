import type { Raft } from "@wide-porch/core";
import { PlateScreen } from "../../ground/PlateScreen";

const FORMS = ["plain", "beam", "toe"] as const;

export default function RaftScreen({ part }: { readonly part: Raft }) {
  return <PlateScreen part={part} forms={FORMS} ribbed />;
}
