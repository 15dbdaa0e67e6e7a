import { plural } from "@wide-porch/core";
import { lazy, Suspense, useState, useSyncExternalStore } from "react";
import { View } from "react-native";
import { clockAheadMs, clockText, subscribeToClock } from "../api/clock";
import { Button } from "../components/Button";
import { Notice } from "../components/Notice";
import { Body, Faint } from "../components/Text";
import type { Stuck } from "../sync/command";
import { outbox } from "../sync/outboxInstance";
import { type Decision, letGo, partConflict, settledWhole } from "../sync/settle";
import { useOutbox } from "./JobContext";

const ConflictSheet = lazy(() => import("./ConflictSheet").then((sheet) => ({ default: sheet.ConflictSheet })));

/** Changes that wait for a person. Both versions are there until they choose. */
export function StuckNotice() {
  const { stuck, cannotStore, keepsNothing, notKnown } = useOutbox();
  return (
    <>
      {cannotStore || keepsNothing ? (
        <View className="p-3">
          <Notice title="This device keeps nothing" live>
            <Body>
              {cannotStore
                ? "Its storage is full or not allowed. Stay on this page until the mark says Saved."
                : "Its storage is full or not allowed: the app works while there is signal, and not without it. Stay on a page until its mark says Saved."}
            </Body>
          </Notice>
        </View>
      ) : null}
      {notKnown > 0 ? (
        <View className="p-3">
          <Notice
            title={plural(
              notKnown,
              "A change this version does not know",
              `${notKnown} changes this version does not know`,
            )}
            live
          >
            <Body>
              They were made on this device by a newer version of Wide Porch, and stay here as they are. Reload the
              page: the newest version sends them.
            </Body>
          </Notice>
        </View>
      ) : null}
      <ClockNotice />
      {stuck.map((each) => (
        <View key={each.command.commandId} className="p-3">
          {each.reason === "conflict" ? <Conflict stuck={each} /> : <Refusal stuck={each} />}
        </View>
      ))}
    </>
  );
}

/** Times in the history are right all the same: the device says how long ago, and the server when that was. */
function ClockNotice() {
  const aheadMs = useSyncExternalStore(subscribeToClock, clockAheadMs, clockAheadMs);
  if (aheadMs === 0) return null;
  return (
    <View className="px-3 pt-2">
      <Faint role="status">{`This device's clock is ${clockText(aheadMs)}. Times are kept by the server's.`}</Faint>
    </View>
  );
}

function nameOf({ command }: Stuck): string {
  if (command.kind === "put-part" || command.kind === "set-aside") return `“${command.part.name}”`;
  if (command.kind === "put-photo") return "a photo";
  return command.kind === "bin-part" ? "a part you put in the bin" : "this job";
}

const decide = (stuck: Stuck, { commands, current }: Decision) =>
  outbox.settle(stuck.command.target, commands, current);

function Conflict({ stuck }: { stuck: Stuck }) {
  const { commands } = useOutbox();
  const [open, setOpen] = useState(false);
  const conflict = partConflict(stuck, commands);
  return (
    <Notice title={`Someone else changed ${nameOf(stuck)} meanwhile`} live>
      <Body>Your change is kept on this device. Nothing is overwritten until you choose.</Body>
      {conflict ? (
        <Button label="See both versions" kind="plain" onPress={() => setOpen(true)} />
      ) : (
        <View className="flex-row flex-wrap gap-2">
          <Button
            label="Keep my version"
            kind="plain"
            onPress={() => decide(stuck, settledWhole(stuck, commands, "mine"))}
          />
          <Button
            label="Take theirs"
            kind="plain"
            onPress={() => decide(stuck, settledWhole(stuck, commands, "theirs"))}
          />
        </View>
      )}
      {conflict && open ? (
        <Suspense fallback={null}>
          <ConflictSheet stuck={stuck} conflict={conflict} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </Notice>
  );
}

function Refusal({ stuck }: { stuck: Stuck }) {
  const { commands } = useOutbox();
  // What is nowhere any more cannot be sent again.
  if (stuck.reason === "gone") {
    return (
      <Notice title="A photo could not be saved" live>
        <Body>{stuck.message}</Body>
        <Faint>Everything else goes on being saved.</Faint>
        <Button label="Let it go" kind="plain" onPress={() => decide(stuck, letGo(stuck, commands))} />
      </Notice>
    );
  }
  return (
    <Notice title={`A change of ${nameOf(stuck)} could not be saved`} live>
      <Body>{stuck.message}</Body>
      <Faint>It is kept on this device. Everything else goes on being saved.</Faint>
      <View className="flex-row flex-wrap gap-2">
        <Button label="Send it again" kind="plain" onPress={() => outbox.again(stuck.command.target)} />
        <Button label="Let this change go" kind="plain" onPress={() => decide(stuck, letGo(stuck, commands))} />
      </View>
    </Notice>
  );
}
