import { zodResolver } from "@hookform/resolvers/zod";
import { MOST_REGISTERS } from "@wide-porch/core";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import { z } from "zod";
import type { Company } from "../api/records";
import { Button, IconButton } from "../components/Button";
import { FormEntry } from "../components/FormEntry";
import { Faint, Strong, Title } from "../components/Text";
import { X } from "../icons";
import { useChangeCompany } from "./changeCompany";

const registerSchema = z.object({
  name: z.string().trim().min(1, "Type what it is.").max(40),
  number: z.string().trim().min(1, "Type the number.").max(60),
});
const EMPTY = { name: "", number: "" };

type Register = Company["profile"]["registers"][number];

/** Numbers that quotes carry: for tax, of a licence, of an insurance. */
export function Registers({ registers }: { readonly registers: readonly Register[] }) {
  const change = useChangeCompany();
  const keep = (next: readonly Register[]) => change({ profile: { registers: [...next] } });
  return (
    <View className="gap-3">
      <Title level={2}>Numbers on quotes</Title>
      {registers.length === 0 ? <Faint>None yet: a tax number, a licence, an insurance.</Faint> : null}
      {registers.map(({ name, number }, index) => (
        <View key={`${name} ${number}`} className="min-h-12 flex-row items-center border-b border-rule">
          <Strong className="min-w-0 flex-1">{`${name} ${number}`}</Strong>
          <IconButton
            name={`Take out ${name} ${number}`}
            icon={X}
            onPress={() => keep(registers.filter((_, place) => place !== index))}
          />
        </View>
      ))}
      {registers.length < MOST_REGISTERS ? (
        <AddRegister onAdd={(register) => keep([...registers, register])} />
      ) : (
        <Faint>{`At most ${MOST_REGISTERS}.`}</Faint>
      )}
    </View>
  );
}

function AddRegister({ onAdd }: { onAdd: (register: Register) => void }) {
  const { control, handleSubmit, reset } = useForm({ resolver: zodResolver(registerSchema), defaultValues: EMPTY });
  const add = () =>
    void handleSubmit((register) => {
      onAdd(register);
      reset(EMPTY);
    })();
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <FormEntry
          control={control}
          name="name"
          label="What it is"
          boxClassName="min-w-32 flex-1"
          onEnter={add}
          more={{ maxLength: 40 }}
        />
        <FormEntry
          control={control}
          name="number"
          label="Number"
          boxClassName="min-w-32 flex-1"
          onEnter={add}
          more={{ maxLength: 60 }}
        />
      </View>
      <Button label="Add a number" kind="plain" onPress={add} />
    </View>
  );
}
