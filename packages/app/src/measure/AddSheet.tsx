import { FIRST_STOREY, isRoom, type Part, placeBeside } from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Choice } from "../components/Choice";
import { Sheet } from "../components/Sheet";
import { Faint, Strong, Title } from "../components/Text";
import { useJob } from "../job/JobContext";
import type { Start } from "../kinds/kindFace";
import { STARTS } from "../kinds/registry";
import { newId } from "../sync/newId";

/** The first free number after the noun: `Room 3`. */
function nameFor(noun: string, parts: readonly Part[]): string {
  const taken = new Set(parts.map((part) => part.name));
  let number = 1;
  while (taken.has(`${noun} ${number}`)) number += 1;
  return `${noun} ${number}`;
}

/** What can be measured next. A press starts it, with its first figure open. */
export function AddSheet({ onClose }: { readonly onClose: () => void }) {
  const { parts, plan, context, savePart, jobId } = useJob("parts", "plan", "context", "savePart", "jobId");
  const router = useRouter();
  const names = plan.storeys.map((storey) => storey.name);
  const [storey, setStorey] = useState(parts[parts.length - 1]?.storey ?? names[0] ?? FIRST_STOREY);
  const start = ({ make, noun, figure }: Start) => {
    const made: Part = { ...make(newId(), nameFor(noun, parts), context), storey };
    const place = placeBeside(plan.storeys.find((each) => each.name === storey));
    const part = isRoom(made) ? { ...made, place } : made;
    savePart(part);
    onClose();
    const query = figure ? `?figure=${encodeURIComponent(figure)}` : "";
    router.push(`/jobs/${jobId}/measure/${part.id}${query}` as Href);
  };
  return (
    <Sheet open onClose={onClose} title="What do you measure?">
      {names.length > 1 ? (
        <Choice
          label="On which storey"
          options={names.map((name) => ({ value: name, label: name }))}
          value={storey}
          onChange={setStorey}
        />
      ) : null}
      {STARTS.map(({ group, starts }) => (
        <View key={group} role="group" aria-label={group}>
          <Title level={3}>{group}</Title>
          {starts.map((each) => (
            <Pressable
              key={each.label}
              role="button"
              aria-label={each.label}
              onPress={() => start(each)}
              className="min-h-14 justify-center border-b border-rule active:bg-pine-wash"
            >
              <Strong>{each.label}</Strong>
              <Faint>{each.words}</Faint>
            </Pressable>
          ))}
        </View>
      ))}
    </Sheet>
  );
}
