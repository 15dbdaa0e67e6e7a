import {
  FIRST_STOREY,
  kindOf,
  PART_KINDS,
  type Part,
  type PartContext,
  placeBeside,
  type Room,
  rectangleDefaults,
  roomDefaults,
} from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useState } from "react";
import { Pressable, View } from "react-native";
import { Choice } from "../components/Choice";
import { Sheet } from "../components/Sheet";
import { Faint, Strong } from "../components/Text";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";

type Start = {
  readonly label: string;
  readonly words: string;
  readonly noun: string;
  readonly make: (id: string, name: string, context: PartContext) => Part;
  /** The figure that is asked for first. */
  readonly figure: string;
};

const STARTS: readonly Start[] = [
  {
    label: "Room, wall by wall",
    words: "Stand in a corner and read each wall in turn",
    noun: "Room",
    make: roomDefaults,
    figure: "runs.a.length",
  },
  { label: "Room, a rectangle", words: "Two figures", noun: "Room", make: rectangleDefaults, figure: "runs.a.length" },
  {
    label: "Stud wall by itself",
    words: "One wall, without a room",
    noun: "Wall",
    make: PART_KINDS["stud-wall"].defaults,
    figure: "length",
  },
  {
    label: "Walls by totals",
    words: "So many feet of wall, so many corners and openings",
    noun: "Walls",
    make: PART_KINDS["wall-totals"].defaults,
    figure: "length",
  },
  {
    label: "Length",
    words: "A fence, a rail, a gutter",
    noun: "Length",
    make: PART_KINDS.length.defaults,
    figure: "length",
  },
  { label: "Area", words: "A deck, a patch of paving", noun: "Area", make: PART_KINDS.area.defaults, figure: "length" },
  {
    label: "Counted spots",
    words: "Posts, hold-downs, sockets",
    noun: "Spots",
    make: PART_KINDS.spots.defaults,
    figure: "",
  },
];

/** The first free number after the noun: `Room 3`. */
function nameFor(noun: string, parts: readonly Part[]): string {
  const taken = new Set(parts.map((part) => part.name));
  let number = 1;
  while (taken.has(`${noun} ${number}`)) number += 1;
  return `${noun} ${number}`;
}

/** What can be measured next. A press starts it, with its first figure open. */
export function AddSheet({ onClose }: { readonly onClose: () => void }) {
  const { parts, plan, context, savePart, jobId } = useJob();
  const router = useRouter();
  const names = plan.storeys.map((storey) => storey.name);
  const [storey, setStorey] = useState(parts[parts.length - 1]?.storey ?? names[0] ?? FIRST_STOREY);
  const start = ({ make, noun, figure }: Start) => {
    const made: Part = { ...make(newId(), nameFor(noun, parts), context), storey };
    const place = placeBeside(plan.storeys.find((each) => each.name === storey));
    const part = kindOf(made).kind === "room" ? ({ ...made, place } as Room) : made;
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
      <View>
        {STARTS.map((each) => (
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
    </Sheet>
  );
}
