import { MOST_REGISTERS } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import type { Company } from "../api/records";
import { Button, IconButton } from "../components/Button";
import { Faint, Strong, Title, Warning } from "../components/Text";
import { TextField } from "../components/TextField";
import { X } from "../icons";
import { useChangeCompany } from "./changeCompany";

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
  const [name, setName] = useState("");
  const [number, setNumber] = useState("");
  const [problem, setProblem] = useState<string>();
  const add = () => {
    const register = { name: name.trim().slice(0, 40), number: number.trim().slice(0, 60) };
    const lacks = register.name === "" || register.number === "";
    setProblem(lacks ? "Type what it is, and the number." : undefined);
    if (lacks) return;
    onAdd(register);
    setName("");
    setNumber("");
  };
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <TextField
          boxClassName="min-w-32 flex-1"
          label="What it is"
          value={name}
          onChangeText={setName}
          maxLength={40}
        />
        <TextField
          boxClassName="min-w-32 flex-1"
          label="Number"
          value={number}
          onChangeText={setNumber}
          onSubmitEditing={add}
          maxLength={60}
        />
      </View>
      {problem ? <Warning role="alert">{problem}</Warning> : null}
      <Button label="Add a number" kind="plain" onPress={add} />
    </View>
  );
}
