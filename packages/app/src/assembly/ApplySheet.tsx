import { type Assembly, type AssemblyPart, PART_KINDS } from "@wide-porch/core";
import { Pressable, View } from "react-native";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Strong } from "../components/Text";

type Props = {
  readonly title: string;
  readonly assemblies: readonly Assembly[];
  readonly chosenId: string | undefined;
  readonly onChoose: (assembly: Assembly) => void;
  readonly onClose: () => void;
};

/** Assemblies to choose from, each with what it is about. */
export function ApplySheet({ title, assemblies, chosenId, onChoose, onClose }: Props) {
  return (
    <Sheet open onClose={onClose} title={title}>
      {assemblies.length === 0 ? (
        <Body>No assembly is for this kind of part yet. Write one under Assemblies.</Body>
      ) : null}
      <View>
        {assemblies.map((assembly) => (
          <Pressable
            key={assembly.id}
            role="button"
            aria-label={assembly.name}
            aria-current={assembly.id === chosenId ? "true" : undefined}
            onPress={() => onChoose(assembly)}
            className={`min-h-14 justify-center border-b border-rule py-2 active:bg-pine-wash ${assembly.id === chosenId ? "bg-pine-wash" : ""}`}
          >
            <Strong>{assembly.name}</Strong>
            <Faint>{assembly.about || `Version ${assembly.version}`}</Faint>
          </Pressable>
        ))}
      </View>
    </Sheet>
  );
}

/** What assemblies for a kind of part are for: `Stud walls`. */
export const partWords = (part: AssemblyPart): string => PART_KINDS[part].plural;
