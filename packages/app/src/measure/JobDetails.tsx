import { newJobSchema } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { seesCosts, useSession } from "../api/session";
import { Button } from "../components/Button";
import { CommitField } from "../components/CommitField";
import { Title } from "../components/Text";
import { Pencil } from "../icons";
import { useJob } from "../job/JobContext";

type Field = "title" | "customerName" | "site";

const problemIn = (field: Field) => (text: string) =>
  newJobSchema.shape[field].safeParse(text).error?.issues[0]?.message;

/** Who the job is for and where, to be put right at any time. */
export function JobDetails() {
  const { record, changeJob } = useJob("record", "changeJob");
  const session = useSession().data;
  const [open, setOpen] = useState(false);
  if (!session || !seesCosts(session)) return null;
  if (!open) {
    return (
      <View className="items-start">
        <Button label="Change name, customer or site" kind="quiet" icon={Pencil} onPress={() => setOpen(true)} />
      </View>
    );
  }
  const field = (name: Field, label: string) => (
    <CommitField
      label={label}
      value={record.job[name]}
      check={problemIn(name)}
      onCommit={(text) => changeJob({ [name]: text })}
    />
  );
  return (
    <View className="max-w-xl gap-3">
      <Title level={2}>The job</Title>
      {field("title", "What is the job?")}
      {field("customerName", "Customer")}
      {field("site", "Site")}
      <Button label="Done" kind="plain" onPress={() => setOpen(false)} />
    </View>
  );
}
