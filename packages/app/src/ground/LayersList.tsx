import { chosenLayers, formatLength, type GroundPart, kindOf, settlePart } from "@wide-porch/core";
import { View } from "react-native";
import { Body, Faint, Figure, Title } from "../components/Text";
import { useJob } from "../job/JobContext";
import { TONES, toneOf } from "../theme/tokens";

/** What lies over the concrete and beneath it, in the colours of the section: what is left out is not here. */
export function LayersList({ part }: { readonly part: GroundPart }) {
  const { context, rules } = useJob("context", "rules");
  const offered = kindOf(part).slot?.parameters.map(({ name }) => name) ?? [];
  const { over, beneath } = chosenLayers(settlePart(part, context.system, rules), offered, context.system);
  const concrete = { role: "slab-concrete", words: "Concrete", thickNm: undefined };
  const rows = [...over, concrete, ...beneath, { role: "dig", words: "The ground", thickNm: undefined }];
  return (
    <View className="gap-1">
      <Title level={2}>Layers, from the top</Title>
      <View role="list">
        {rows.map(({ role, words, thickNm }) => (
          <View key={role} role="listitem" className="flex-row items-center gap-3 border-b border-rule py-2">
            <View
              style={{ width: 18, height: 18, backgroundColor: toneOf(role), borderColor: TONES.edge, borderWidth: 1 }}
            />
            <View className="flex-1">
              <Body>{words}</Body>
            </View>
            {thickNm === undefined ? null : thickNm === 0 ? (
              <Faint>one sheet</Faint>
            ) : (
              <Figure>{formatLength(thickNm, context.system)}</Figure>
            )}
          </View>
        ))}
      </View>
      <Faint>Layers are put in, made thicker and taken out under How it is built.</Faint>
    </View>
  );
}
