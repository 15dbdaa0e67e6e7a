import { type Deck, isDeck, type JoistedPart } from "@wide-porch/core";
import { JoistedScreen } from "../../joists/JoistedScreen";
import { BoardsPanel } from "./BoardsPanel";
import { SidesPanel } from "./SidesPanel";
import { StairsPanel } from "./StairsPanel";

/** What has lists of its own beside those of all joists. */
const ELSEWHERE = /^rise$|^stairs\./;

export default function DeckScreen({ part }: { readonly part: Deck }) {
  return (
    <JoistedScreen
      part={part}
      elsewhere={ELSEWHERE}
      openingKinds={["hatch"]}
      without={["doubled", "panels"]}
      sides={(props) => asDeck(props.settled, (deck) => <SidesPanel {...props} deck={deck} />)}
      more={(props) =>
        asDeck(props.settled, (deck) => (
          <>
            <BoardsPanel {...props} deck={deck} />
            <StairsPanel {...props} deck={deck} />
          </>
        ))
      }
    />
  );
}

const asDeck = <T,>(part: JoistedPart, show: (deck: Deck) => T): T | null => (isDeck(part) ? show(part) : null);
