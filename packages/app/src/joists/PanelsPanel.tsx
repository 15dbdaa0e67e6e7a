import { formatArea, measured, unmeasured } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { NamedChoices, withChoices } from "../assembly/NamedChoices";
import { Button } from "../components/Button";
import { Body, Faint, Title, Warning } from "../components/Text";
import { useJob, useLatestCount } from "../job/JobContext";
import { FigureList } from "../measure/FigureList";
import { reckoner } from "../worker/reckoner";
import type { JoistPanelProps } from "./changes";

type Props = JoistPanelProps & {
  readonly told: readonly { readonly path: string; readonly message: string }[] | undefined;
};
type Best = Awaited<ReturnType<ReturnType<typeof reckoner>["bestPanels"]>>;

/** Panels over the joists: where they begin, how many that takes, and the best place to begin. */
export function PanelsPanel({ part, slots, active, told, onChange, onFigure }: Props) {
  const { context } = useJob("context");
  const own = slots.filter(({ path }) => path === "panelShift" || path === "rowShift");
  const facts = useLatestCount(part.id)?.panels;
  const moved = part.panelShift.valueNm !== null || part.rowShift.valueNm !== null;
  return (
    <View className="gap-3">
      <Title level={2}>Panels</Title>
      {facts ? (
        <Body aria-live="polite">
          {`${facts.bought} panels, ${formatArea(facts.offcutM2, context.system)} cut off, ${facts.looseJoints} joints off a joist`}
        </Body>
      ) : (
        <Faint>No panels are laid out on it.</Faint>
      )}
      <FigureList slots={own} activePath={active} onOpen={onFigure} title="Where they begin" told={told} />
      <NamedChoices
        part={part}
        names={["panel"]}
        onChange={(change) => void onChange((now) => change(now) as typeof now) as undefined}
      />
      <View className="flex-row flex-wrap gap-2">
        {facts ? <BestStart part={part} onChange={onChange} /> : null}
        {moved ? (
          <Button
            label="Begin with whole panels again"
            kind="quiet"
            onPress={() => onChange((now) => ({ ...now, panelShift: unmeasured, rowShift: unmeasured }))}
          />
        ) : null}
      </View>
    </View>
  );
}

/** Tries every start and takes the one that wastes least; says so where none is better. */
function BestStart({ part, onChange }: Pick<Props, "part" | "onChange">) {
  const { page } = useJob("page");
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<string>();
  const [failure, setFailure] = useState<string>();
  const take = ({ now, best }: NonNullable<Best>) => {
    const same = best.bought === now.bought && best.loose === now.loose;
    setSaid(
      same
        ? "No start is better than this one."
        : `From ${now.bought} panels to ${best.bought}, joints off a joist from ${now.loose} to ${best.loose}.`,
    );
    if (same) return;
    onChange((each) => {
      const moved = { ...each, panelShift: measured(best.shiftNm, ""), rowShift: measured(best.rowNm, "") };
      return withChoices(moved, { panelCorner: best.corner }) as typeof each;
    });
  };
  const find = async () => {
    setBusy(true);
    setFailure(undefined);
    try {
      const found = await reckoner().bestPanels(page, part.id);
      if (found) take(found);
      else setSaid("No panels are laid out on it.");
    } catch (error) {
      setFailure(`The best start could not be found: ${error instanceof Error ? error.message : String(error)}`);
    }
    setBusy(false);
  };
  return (
    <View className="gap-2">
      <Button
        label={busy ? "Trying every start" : "Best start"}
        kind="plain"
        disabled={busy}
        onPress={() => void find()}
      />
      {said ? <Body role="status">{said}</Body> : null}
      {failure ? <Warning role="alert">{failure}</Warning> : null}
    </View>
  );
}
