import { z } from "zod";
import { newId } from "../sync/newId";
import type { DistanceMeter } from "./distanceMeter";

/** The line between the simulated meter's panel and the app: pages of one browser, no network. */
const CHANNEL = "wide-porch/distance-meter";

const messageSchema = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("reading"), id: z.string(), typed: z.string().max(40) }),
  z.object({ kind: z.literal("taken"), id: z.string(), where: z.enum(["entry", "waiting"]) }),
]);
type Message = z.infer<typeof messageSchema>;

const receive = (channel: BroadcastChannel, onMessage: (message: Message) => void): void => {
  channel.onmessage = (event) => {
    const read = messageSchema.safeParse(event.data);
    if (read.success) onMessage(read.data);
  };
};

/** The app's end. */
export const simulatedMeter: DistanceMeter = {
  name: "Simulated meter",
  listen: (onReading) => {
    const channel = new BroadcastChannel(CHANNEL);
    receive(channel, (message) => {
      if (message.kind !== "reading") return;
      const where = onReading({ id: message.id, typed: message.typed }) ? "entry" : "waiting";
      channel.postMessage({ kind: "taken", id: message.id, where } satisfies Message);
    });
    return () => channel.close();
  },
};

export type MeterPanel = { readonly send: (typed: string) => void; readonly close: () => void };

/** The device's end. `onTaken` says where the app put a reading; nothing comes when no app listens. */
export function openMeterPanel(onTaken: (where: "entry" | "waiting") => void): MeterPanel {
  const channel = new BroadcastChannel(CHANNEL);
  let last = "";
  receive(channel, (message) => {
    if (message.kind === "taken" && message.id === last) onTaken(message.where);
  });
  return {
    send: (typed) => {
      last = newId();
      channel.postMessage({ kind: "reading", id: last, typed } satisfies Message);
    },
    close: () => channel.close(),
  };
}
