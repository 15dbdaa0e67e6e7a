import {
  ALONE,
  LISTED_TIMBERS,
  type ListedTimber,
  MOST_TIMBER_ROWS,
  type Part,
  type RoofTimbers,
  roleOf,
  withOwnPitch,
  withoutTimber,
  withTimber,
} from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Faint, Strong, Title } from "../../components/Text";
import { Plus, Trash2 } from "../../icons";
import { useLatestCount } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import { PartFrame } from "../../measure/PartFrame";
import { usePartFigures } from "../../measure/usePartFigures";
import { newId } from "../../sync/newId";
import { roofLive } from "../liveWords";
import { ReplaceByDrawn } from "../roof/ReplaceByDrawn";
import { TimberList } from "../roof/TimberList";

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const wordsOf = (role: ListedTimber): string => capital(roleOf(role)?.words ?? role);

/** Timbers that nobody has drawn: rows of kind, length on plan and number, one pitch for all of them or one of its own. */
export default function RoofTimbersScreen({ part: list }: { readonly part: RoofTimbers }) {
  const { kind, context, slots, active, show, change, pad } = usePartFigures(list);
  const count = useLatestCount(list.id);
  const changeList = (to: (now: RoofTimbers) => RoofTimbers) =>
    change((now: Part) => (now.kind === list.kind ? to(now) : now));
  const add = (role: ListedTimber) => {
    const id = newId().slice(0, 8);
    if (!changeList((now) => withTimber(now, id, role))) show(`rows.${id}.plan`);
  };
  return (
    <PartFrame
      part={list}
      pad={pad}
      built={{ say: roofLive, onChange: change }}
      measures={kind.measures(list, context, ALONE)}
      overChoices={<ReplaceByDrawn part={list} />}
    >
      <FigureList
        slots={slots.filter(({ path }) => path === "pitch")}
        activePath={active}
        onOpen={show}
        title="For every row"
      />
      {list.rows.map((row) => {
        const own = slots.filter(({ path }) => path.startsWith(`rows.${row.id}.`));
        const name = own[0]?.of ?? wordsOf(row.role);
        const hasOwn = row.pitch.value !== null;
        return (
          <View key={row.id} className="gap-1">
            <FigureList
              slots={own.map((slot) => ({ ...slot, of: "" }))}
              activePath={active}
              onOpen={show}
              title={name}
            />
            <View className="flex-row flex-wrap gap-2">
              <Button
                label={hasOwn ? "Pitch as the others'" : "Pitch of its own"}
                name={`${hasOwn ? "Pitch as the others'" : "Pitch of its own"}: ${name}`}
                kind="plain"
                onPress={() => {
                  if (!changeList((now) => withOwnPitch(now, row.id, !hasOwn)) && !hasOwn) show(`rows.${row.id}.pitch`);
                }}
              />
              <Button
                label="Take it out"
                name={`Take ${name} out`}
                kind="plain"
                icon={Trash2}
                onPress={() => changeList((now) => withoutTimber(now, row.id))}
              />
            </View>
          </View>
        );
      })}
      {list.rows.length < MOST_TIMBER_ROWS ? (
        <View className="gap-2">
          <Title level={2}>One more row</Title>
          <Faint>Hips and valleys are taken at a square corner until they have a pitch of their own.</Faint>
          <View className="flex-row flex-wrap gap-2">
            {LISTED_TIMBERS.map((role) => (
              <Button key={role} label={wordsOf(role)} kind="plain" icon={Plus} onPress={() => add(role)} />
            ))}
          </View>
        </View>
      ) : (
        <Strong>{`A list has at most ${MOST_TIMBER_ROWS} rows. Begin another one.`}</Strong>
      )}
      <TimberList count={count} name={list.name} />
    </PartFrame>
  );
}
